import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';

export interface Secrets {
  databasePassword: string;
  sessionSecret: string;
}

/** Made once per profile and kept beside its data, readable by its owner only. */
export function ensureSecrets(file: string): Secrets {
  if (existsSync(file)) return JSON.parse(readFileSync(file, 'utf8')) as Secrets;
  const secrets = {
    databasePassword: randomBytes(24).toString('hex'),
    sessionSecret: randomBytes(32).toString('hex'),
  };
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, JSON.stringify(secrets), { mode: 0o600 });
  return secrets;
}
