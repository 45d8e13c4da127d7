import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

export interface Secrets {
  /** Of the account that makes schemas and lets the application into them; the application never learns it. */
  databaseRootPassword: string;
  databasePassword: string;
  sessionSecret: string;
}

/** Made once per profile and kept beside its data, readable by its owner only. What an older version did not make is added. */
export function ensureSecrets(file: string): Secrets {
  const kept = existsSync(file) ? (JSON.parse(readFileSync(file, 'utf8')) as Partial<Secrets>) : {};
  const secrets: Secrets = {
    databaseRootPassword: randomBytes(24).toString('hex'),
    databasePassword: randomBytes(24).toString('hex'),
    sessionSecret: randomBytes(32).toString('hex'),
    ...kept,
  };
  if (Object.keys(kept).length < Object.keys(secrets).length) {
    mkdirSync(dirname(file), { recursive: true });
    writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
  }
  return secrets;
}
