import { useState } from 'react';
import { dilutionG, type ReferenceKind } from '@vendu/core';
import { GRAMS, PERCENT_FINE } from '../ui/quantities';
import { QuantityField } from '../ui/QuantityField';

/** A brew as it usually comes out, and a small cup of it. */
const USUAL_PERCENT = 1.35;
const USUAL_CUP_G = 60;

/** How the two kinds of cups are made, with what is weighed. */
export function MakeCups({
  kind,
  differencePercent,
}: {
  kind: ReferenceKind;
  differencePercent: number | null;
}) {
  const [tdsPercent, setTds] = useState(USUAL_PERCENT);
  const [cupG, setCup] = useState(USUAL_CUP_G);
  if (kind === 'dryness') {
    return (
      <p className="max-w-2xl">
        Pour the brew into cups for A. For B let the last quarter of another brew of it run into a cup of its
        own, and put one part of that to three of the brew. Bring both to one temperature.
      </p>
    );
  }
  if (kind === 'repeat') {
    return (
      <p className="max-w-2xl">
        Two brews: A and B. The known cup is one of them, and one of the coded two is the same again.
      </p>
    );
  }
  if (differencePercent === null) return null;
  const offer = (value: number) =>
    value <= differencePercent + 0.2 || value > 3
      ? `Strength must be ${(differencePercent + 0.2).toFixed(2)} to 3 %.`
      : undefined;
  return (
    <div>
      <div className="mb-3 flex flex-wrap gap-x-6 gap-y-3">
        <QuantityField
          label="Strength of the brew"
          quantity={PERCENT_FINE}
          value={tdsPercent}
          onOffer={(value) => {
            const fault = offer(value);
            if (fault === undefined) setTds(value);
            return fault;
          }}
          className="w-40"
        />
        <QuantityField
          label="In a cup"
          quantity={GRAMS}
          value={cupG}
          onOffer={(value) => {
            if (value < 10 || value > 300) return 'A cup must be 10 to 300 g.';
            setCup(value);
            return undefined;
          }}
          className="w-32"
        />
      </div>
      <p className="max-w-2xl">
        A: <span className="reading text-water">{cupG} g</span> of the brew. B: the same with{' '}
        <span className="reading font-semibold text-water">
          {dilutionG({ cupG, tdsPercent, differencePercent }).toFixed(1)} g
        </span>{' '}
        of hot water in it,{' '}
        <span className="reading text-strength">{(tdsPercent - differencePercent).toFixed(2)} %</span>. Warm
        B’s water as the brew is, or its warmth tells.
      </p>
    </div>
  );
}
