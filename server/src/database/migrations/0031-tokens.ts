import type { Migration } from './migration.js';

/** Keys of people for their programs. The token is not kept, only what it can be known by. */
export const tokens: Migration = {
  name: '0031-tokens',
  statements: [
    `CREATE TABLE tokens (
      id INT AUTO_INCREMENT PRIMARY KEY,
      person_id INT NOT NULL,
      name VARCHAR(60) NOT NULL,
      \`right\` ENUM('read','record') NOT NULL,
      secret_hash CHAR(64) NOT NULL UNIQUE,
      ends_on DATE NOT NULL,
      ended_at DATETIME(3) NULL,
      last_used_at DATETIME(3) NULL,
      created_at DATETIME(3) NOT NULL,
      CONSTRAINT tokens_person FOREIGN KEY (person_id) REFERENCES people (id),
      INDEX tokens_by_person (person_id)
    )`,
  ],
};
