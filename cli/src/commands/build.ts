import { build } from '../build.js';

/** Has all there that a start needs, and starts nothing: for an image of a lab. */
export async function buildOnly(): Promise<void> {
  await build();
  console.log('All is built; ./vendu serve starts it.');
}
