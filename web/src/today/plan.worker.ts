import { expose } from 'comlink';
import { planDay } from '@vendu/core';

const planner = { planDay };
export type Planner = typeof planner;
expose(planner);
