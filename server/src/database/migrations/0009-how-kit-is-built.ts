import type { Migration } from './migration.js';

/** What holds a paper off the wall and what warmth the wall takes; where nobody looked, nothing is said. */
export const howKitIsBuilt: Migration = {
  name: '0009-how-kit-is-built',
  statements: [
    `ALTER TABLE brewers
      ADD COLUMN ribs ENUM('none','part-way','full') NULL AFTER outlet_count,
      ADD COLUMN wall_material ENUM('plastic','glass','ceramic','metal') NULL AFTER ribs,
      ADD COLUMN wall_mm DECIMAL(4,1) NULL AFTER wall_material`,
    `ALTER TABLE papers ADD COLUMN fold ENUM('smooth','pleated') NULL AFTER rinse_g`,
  ],
};
