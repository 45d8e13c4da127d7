import { Link } from 'react-router';
import { figureOf, WATCHED_FIGURES, WATCHED_WORDS, type WatchedBrew, type WatchedFigure } from '@vendu/core';
import type { WatchView } from '@vendu/contract';
import { dayOf } from '../ui/dates';
import { WideTable } from '../ui/WideTable';
import { PRINT } from './figureWords';

const HEAD = 'border-b border-ink pb-1 pr-3 text-right text-tiny font-medium text-quiet first:text-left';
const CELL = 'border-b border-rule py-1.5 pr-3 align-baseline';

/** What was brewed since it is public, beside what was proven; only what is off stands out. */
export function Rechecks({ watch: { phases, versionNumber } }: { watch: WatchView }) {
  const now = phases.find((phase) => phase.versionNumber === versionNumber);
  if (!now) return null;
  const offIn = (brew: WatchedBrew, figure: WatchedFigure) =>
    now.charts
      .find((chart) => chart.figure === figure)
      ?.points.some(({ brewId, signals }) => brewId === brew.id && signals.length > 0) ?? false;
  return (
    <section>
      <h2 className="heading mb-2">Since it is public</h2>
      {now.rechecks.length === 0 && (
        <p className="mb-3 text-small text-quiet">
          No brew of it yet. Brew it as published and weigh what is in the cup: it stands here beside the
          proof.
        </p>
      )}
      <WideTable>
        <table className="w-full text-small">
          <thead>
            <tr>
              <th className={HEAD}>Brew</th>
              <th className={HEAD}>Roast</th>
              {WATCHED_FIGURES.map((figure) => (
                <th key={figure} className={HEAD}>
                  <span className="first-letter:uppercase inline-block">{WATCHED_WORDS[figure]}</span>
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            <tr className="text-quiet">
              <th scope="row" className={`${CELL} text-left font-medium`}>
                as proven
              </th>
              <td className={`${CELL} reading text-right`}>
                {now.proof.length} {now.proof.length === 1 ? 'brew' : 'brews'}
              </td>
              {WATCHED_FIGURES.map((figure) => {
                const chart = now.charts.find((each) => each.figure === figure);
                return (
                  <td key={figure} className={`${CELL} reading text-right`}>
                    {chart && now.proof.length > 0 ? PRINT[figure](chart.centre) : '–'}
                  </td>
                );
              })}
            </tr>
            {now.rechecks.toReversed().map((brew) => (
              <tr key={brew.id}>
                <th scope="row" className={`${CELL} text-left font-medium`}>
                  <Link to={`/brews/${brew.id}`} className="underline underline-offset-3">
                    {brew.number}
                  </Link>
                  <span className="caption block font-normal">
                    {brew.by}, {dayOf(brew.startedAt)}, {brew.grinder}
                  </span>
                </th>
                <td className={`${CELL} reading text-right`}>{brew.roastAgeDays} d</td>
                {WATCHED_FIGURES.map((figure) => {
                  const value = figureOf(brew, figure);
                  return (
                    <td
                      key={figure}
                      className={`${CELL} reading text-right ${offIn(brew, figure) ? 'font-bold text-alarm' : ''}`}
                    >
                      {value === null ? '–' : PRINT[figure](value)}
                    </td>
                  );
                })}
              </tr>
            ))}
          </tbody>
        </table>
      </WideTable>
    </section>
  );
}
