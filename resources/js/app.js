import './ready.js';
import './sheaf.js';
import './deeds.js';
