import 'reflect-metadata';

export * from './problem.js';
export * from './requestKey.js';
export * from './validation/checkDto.js';
export type { Choice, NumberRange, TextLength } from './validation/decorators.js';
export * from './validation/fieldError.js';
export * from './session/session.js';
export * from './kit/kit.js';
export * from './kit/houseDtos.js';
export * from './kit/kitDtos.js';
export * from './lots/lotFields.js';
export * from './lots/lots.js';
export * from './recipes/recipes.js';
export * from './brews/bench.js';
export * from './brews/brewRecord.js';
export * from './brews/brews.js';
export * from './practice.js';
export * from './publications/publications.js';
