import './ready.js';
import './sheaf.js';
import './deeds.js';
import './key.js';
