import type { Migration } from './migration.js';

/** What stand-ins gave is told from what was measured; the curve of a running brew is kept with it. */
export const instruments: Migration = {
  name: '0005-instruments',
  statements: [
    // Marked times are kept to a hundredth of a second; their first entries too.
    `ALTER TABLE corrections
      MODIFY from_value DECIMAL(9,2) NULL,
      MODIFY to_value DECIMAL(9,2) NULL`,
    `ALTER TABLE readings
      ADD COLUMN source ENUM('typed','sent','simulated') NOT NULL DEFAULT 'typed'`,
    `ALTER TABLE brews ADD COLUMN is_simulated BOOLEAN NOT NULL DEFAULT FALSE`,
    `ALTER TABLE running_brews ADD COLUMN trace JSON NULL`,
  ],
};
