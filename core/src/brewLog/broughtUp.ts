/**
 * An entry as this version says it, of whatever was kept or told by an earlier one: each step knows one kind that is no
 * longer told. What is no entry comes out as it is, for `entryFault` to refuse.
 */
export function broughtUp(kept: unknown): unknown {
  return STEPS.reduce((entry, step) => (isObject(entry) ? step(entry) : entry), kept);
}

type Kept = Record<string, unknown>;

/** In the order in which kinds were given up. */
const STEPS: readonly ((kept: Kept) => Kept)[] = [finesAsWeight, readAsSample];

/** Of all weights, those of fines alone were told, in a kind of their own. */
function finesAsWeight(kept: Kept): Kept {
  if (kept['kind'] !== 'fines-weighed') return kept;
  const { finesG, ...stamp } = kept;
  return { ...stamp, kind: 'weighed', what: 'fines', massG: finesG };
}

/** Readings were told without how warm their sample was. */
function readAsSample(kept: Kept): Kept {
  return kept['kind'] === 'read' ? { ...kept, kind: 'strength-read', sampleC: null } : kept;
}

function isObject(value: unknown): value is Kept {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
