import './ready.js';
