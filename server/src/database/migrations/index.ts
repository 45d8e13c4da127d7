import type { Migration } from './migration.js';
import { firstTables } from './0001-first-tables.js';

/** All steps in order. */
export const MIGRATIONS: readonly Migration[] = [firstTables];
