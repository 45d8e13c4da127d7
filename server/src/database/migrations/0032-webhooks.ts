import type { Migration } from './migration.js';

/** Addresses that are told what happens, and what each was told. A secret is kept as it is: it signs. */
export const webhooks: Migration = {
  name: '0032-webhooks',
  statements: [
    `CREATE TABLE webhooks (
      id INT AUTO_INCREMENT PRIMARY KEY,
      name VARCHAR(60) NOT NULL,
      url VARCHAR(500) NOT NULL,
      events JSON NOT NULL,
      secret VARCHAR(80) NOT NULL,
      ended_at DATETIME(3) NULL,
      created_by INT NOT NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT webhooks_by FOREIGN KEY (created_by) REFERENCES people (id)
    )`,
    `CREATE TABLE webhook_deliveries (
      id INT AUTO_INCREMENT PRIMARY KEY,
      webhook_id INT NOT NULL,
      event VARCHAR(20) NOT NULL,
      about VARCHAR(260) NOT NULL,
      body JSON NOT NULL,
      tries INT NOT NULL DEFAULT 0,
      next_try_at DATETIME(3) NULL,
      told_at DATETIME(3) NULL,
      answer VARCHAR(200) NOT NULL DEFAULT '',
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT webhook_deliveries_hook FOREIGN KEY (webhook_id) REFERENCES webhooks (id),
      INDEX webhook_deliveries_due (next_try_at),
      INDEX webhook_deliveries_by_hook (webhook_id, id)
    )`,
  ],
};
