/** A brewer as far as the network needs it. */
export interface Vessel {
  bottomRadiusM: number;
  wallSlope: number;
  drainShare: number;
}

/** One layer of the bed, from the top down. */
export interface Layer {
  heightM: number;
  /** Middle of the layer above the bottom. */
  middleM: number;
  areaM2: number;
  wallM2: number;
  permeabilityM2: number;
}

export interface NetworkFlow {
  /** Into each layer from above, and out of the last through the bottom, m3/s; one more than there are layers. */
  down: number[];
  /** Out of each layer by the wall, m3/s. */
  aside: number[];
}

const GRAVITY = 9.81;

/** Cuts a bed of a volume into layers of equal volume in a frustum. */
export function layersOf(vessel: Vessel, bedM3: number, permeabilitiesM2: readonly number[]): Layer[] {
  const count = permeabilitiesM2.length;
  const slant = Math.hypot(1, vessel.wallSlope);
  let above = heightIn(vessel, bedM3);
  return permeabilitiesM2.map((permeabilityM2, index) => {
    const below = heightIn(vessel, (bedM3 * (count - 1 - index)) / count);
    const middleM = (below + above) / 2;
    const heightM = above - below;
    const radiusM = vessel.bottomRadiusM + vessel.wallSlope * middleM;
    above = below;
    return {
      heightM,
      middleM,
      areaM2: Math.PI * radiusM ** 2,
      wallM2: 2 * Math.PI * radiusM * heightM * slant,
      permeabilityM2,
    };
  });
}

/** Height to which a volume fills a frustum: what is cut off of a cone, or a cylinder. */
export function heightIn({ bottomRadiusM: r, wallSlope: s }: Vessel, volumeM3: number): number {
  if (s < 1e-6) return volumeM3 / (Math.PI * r ** 2);
  return (Math.cbrt(r ** 3 + (3 * s * volumeM3) / Math.PI) - r) / s;
}

/**
 * Darcy's law in a chain of layers under standing water: what comes down into a layer leaves it below or by the paper
 * at its side, which drains into the open. One tridiagonal system for the potentials.
 */
export function networkFlow(
  layers: readonly Layer[],
  vessel: Vessel,
  {
    levelM,
    paperPerM,
    viscosity,
    density,
  }: { levelM: number; paperPerM: number; viscosity: number; density: number },
): NetworkFlow {
  const weight = density * GRAVITY;
  const half = layers.map(
    ({ heightM, permeabilityM2, areaM2 }) => (viscosity * heightM) / (2 * permeabilityM2 * areaM2),
  );
  const count = layers.length;
  const downward = Array.from({ length: count + 1 }, (_, face) => {
    if (face === 0) return 1 / (half[0] ?? 1);
    if (face === count) {
      return 1 / ((half[count - 1] ?? 1) + (viscosity * paperPerM) / (Math.PI * vessel.bottomRadiusM ** 2));
    }
    return 1 / ((half[face - 1] ?? 1) + (half[face] ?? 1));
  });
  const sideways = layers.map(({ wallM2, areaM2, permeabilityM2 }) => {
    const openM2 = vessel.drainShare * wallM2;
    if (openM2 < 1e-12) return 0;
    const throughBed = (viscosity * Math.sqrt(areaM2 / Math.PI)) / (3 * permeabilityM2 * wallM2);
    return 1 / ((viscosity * paperPerM) / openM2 + throughBed);
  });
  const potentials = solved(
    layers.map((layer, index) => {
      const [above, below, side] = [downward[index] ?? 0, downward[index + 1] ?? 0, sideways[index] ?? 0];
      return {
        before: index === 0 ? 0 : -above,
        own: above + below + side,
        after: index === count - 1 ? 0 : -below,
        right: side * weight * layer.middleM + (index === 0 ? above * weight * levelM : 0),
      };
    }),
  );
  const aside = layers.map(({ middleM }, index) =>
    Math.max(0, (sideways[index] ?? 0) * ((potentials[index] ?? 0) - weight * middleM)),
  );
  const down = [(downward[0] ?? 0) * Math.max(0, weight * levelM - (potentials[0] ?? 0))];
  for (const [index, out] of aside.entries()) down.push(Math.max(0, (down[index] ?? 0) - out));
  return { down, aside };
}

/** A tridiagonal system by elimination. */
function solved(rows: readonly { before: number; own: number; after: number; right: number }[]): number[] {
  const factors: { after: number; right: number }[] = [];
  for (const [index, { before, own, after, right }] of rows.entries()) {
    const last = factors[index - 1] ?? { after: 0, right: 0 };
    const pivot = own - before * last.after;
    factors.push({ after: after / pivot, right: (right - before * last.right) / pivot });
  }
  let below = 0;
  return factors
    .reverse()
    .map(({ after, right }) => (below = right - after * below))
    .reverse();
}
