import type { WaterMix } from '@vendu/contract';

/** What goes into a litre and into the lab's bottle. */
export function MixRecipe({ mix }: { mix: WaterMix }) {
  return (
    <>
      <table className="w-full text-small">
        <thead>
          <tr className="text-left text-tiny text-quiet">
            <th className="py-1 font-medium">Concentrate</th>
            <th className="py-1 text-right font-medium">for 1 L</th>
            <th className="py-1 text-right font-medium">for {mix.bottleL} L</th>
          </tr>
        </thead>
        <tbody>
          {mix.concentrates.map(({ name, gPerL }, index) => (
            <tr key={index} className="border-t border-rule">
              <td className="py-1">{name || `concentrate ${index + 1}`}</td>
              <td className="reading py-1 text-right">{gPerL.toFixed(2)} g</td>
              <td className="reading py-1 text-right font-semibold">{(gPerL * mix.bottleL).toFixed(1)} g</td>
            </tr>
          ))}
        </tbody>
      </table>
      <p className="caption mt-1">
        Food-grade salts only; label every bottle of concentrate, and never taste one neat.
      </p>
    </>
  );
}
