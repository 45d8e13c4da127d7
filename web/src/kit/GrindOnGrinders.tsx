import { grindEquivalent, grinderWord, type GrindEquivalent, type GrinderWord } from '@vendu/core';
import type { GrinderView } from '@vendu/contract';

/** One size on several grinders: the setting with its range, or how near each gets and what makes up for it. */
export function GrindOnGrinders({
  grinders,
  grindUm,
  sdUm = 0,
}: {
  grinders: readonly GrinderView[];
  grindUm: number;
  /** How well the size is known; left out where it is wanted, not measured. */
  sdUm?: number;
}) {
  return (
    <table className="w-full text-small">
      <thead>
        <tr className="border-b border-rule text-left text-quiet">
          <th className="w-[45%] py-1 font-normal">Grinder</th>
          <th className="py-1 pl-3 text-right font-normal">Setting</th>
          <th className="py-1 pl-3 text-right font-normal">9 in 10 within</th>
          <th className="py-1 pl-3 text-right font-normal">Grinds</th>
        </tr>
      </thead>
      <tbody>
        {grinders.map((grinder) => (
          <tr key={grinder.id} className="border-b border-rule align-baseline">
            <th scope="row" className="py-1.5 text-left font-normal">
              {grinder.name}, <span className="text-quiet">{grinder.burrSet}</span>
              {grinder.owner !== '' && <span className="block text-tiny text-quiet">{grinder.owner}</span>}
            </th>
            <Equivalent found={grindEquivalent({ grinder, grindUm, sdUm })} words={grinder.words} />
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function Equivalent({ found, words }: { found: GrindEquivalent; words: readonly GrinderWord[] }) {
  if (found.kind === 'not-measured') {
    return (
      <td colSpan={3} className="py-1.5 pl-3 text-quiet">
        {found.message}
      </td>
    );
  }
  if (found.kind === 'out-of-reach') {
    const { nearest, offUm, instead } = found;
    return (
      <td colSpan={3} className="py-1.5 pl-3">
        <span className="font-semibold text-alarm">Out of reach:</span> at {nearest.setting}, its nearest,{' '}
        {Math.round(Math.abs(offUm))} µm too {offUm > 0 ? 'coarse' : 'fine'}.{' '}
        <span className="text-quiet">Use {instead}.</span>
      </td>
    );
  }
  const { setting, lowSetting, highSetting, grindUm } = found;
  const word = grinderWord(words, setting);
  return (
    <>
      <td className="py-1.5 pl-3 text-right">
        <span className="reading font-bold">{setting}</span>
        {word !== null && <span className="block text-tiny text-quiet">{word}</span>}
      </td>
      <td className="reading py-1.5 pl-3 text-right whitespace-nowrap text-quiet">
        {lowSetting} to {highSetting}
      </td>
      <td className="reading py-1.5 pl-3 text-right whitespace-nowrap text-quiet">
        {Math.round(grindUm)} µm
      </td>
    </>
  );
}
