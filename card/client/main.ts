import './card.css';
import { keepAtHand } from './atHand.js';
import { startPage } from './startPage.js';

startPage();
void keepAtHand();
