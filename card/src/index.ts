export { Staircase } from './drawing/Staircase.js';
export { StaircaseThumb } from './drawing/StaircaseThumb.js';
