import { expose } from 'comlink';
import { Forecaster } from './forecaster';

expose(new Forecaster());
