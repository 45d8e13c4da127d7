import { createHash } from 'node:crypto';
import { expect, it } from 'vitest';
import { BREWER_CLASSES, MODEL_VERSION, PAPER_PER_M } from '@vendu/core';
import { BREW_MODEL } from '@vendu/core/brewModel';

/** Of each version that may have learned something somewhere; a new one adds its own. */
const VERSIONS: Record<string, string> = { '3': '93d9c17ab9c039b5' };

it('is another version as soon as a constant is another: what was learned by the old one is learned again', () => {
  const { version: _, ...constants } = BREW_MODEL;
  const all = JSON.stringify({ constants, BREWER_CLASSES, PAPER_PER_M });
  expect(createHash('sha256').update(all).digest('hex').slice(0, 16)).toBe(VERSIONS[MODEL_VERSION]);
});
