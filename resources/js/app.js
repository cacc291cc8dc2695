import './ready.js';
import './errors.js';
import './sheaf.js';
import './deeds.js';
import './key.js';
