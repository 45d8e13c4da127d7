import { ruleWeight, TASTE_RULES, type TrackRecord } from '@vendu/core';
import { useScoresQuery } from '../api/changesApi';
import { useComparisonsQuery } from '../api/comparisonsApi';
import { FINDING_WORDS } from '../ui/findingWords';
import { useScrollToHash } from '../ui/useScrollToHash';
import { WideTable } from '../ui/WideTable';

const HEAD = 'border-b border-ink pb-1 pr-5 text-left text-tiny font-medium text-quiet';
const CELL = 'border-b border-rule py-1.5 pr-5 align-baseline';

/** How often what was expected of a change came: of the model, of the rules, of whoever changed something. */
export function Scores() {
  const { data: scores } = useScoresQuery();
  const blind = useToldBlind();
  useScrollToHash(scores !== undefined);
  if (!scores) return null;
  const { model, rules, people } = scores;
  const isNothing =
    model.came + model.missed + blind.came + blind.missed === 0 && rules.length === 0 && people.length === 0;
  return (
    <section id="scores" className="mt-10 scroll-mt-4">
      <h2 className="heading mb-1">What came true here</h2>
      <p className="caption mb-3 max-w-3xl">
        Every change says before its brew what it is to do. Counted once it can be told; a rule that misses
        counts for less in the next proposals. Few of them say little.
      </p>
      {isNothing ? (
        <p className="text-small">No change with an expectation has been brewed yet.</p>
      ) : (
        <WideTable>
          <table className="w-full max-w-4xl text-small">
            <thead>
              <tr>
                <th className={HEAD}>Who said so</th>
                <th className={HEAD}>What</th>
                <th className={`${HEAD} text-right`}>Came</th>
                <th className={HEAD}>What follows</th>
              </tr>
            </thead>
            <tbody>
              {model.came + model.missed > 0 && (
                <ScoreRow
                  who="The model"
                  what="figures inside their band"
                  record={model}
                  follows="nine of ten should be"
                />
              )}
              {blind.came + blind.missed > 0 && (
                <ScoreRow
                  who="Tasters who did not know"
                  what="changes told from what was before"
                  record={blind}
                  follows="not told is not the same"
                />
              )}
              {rules.map((record) => (
                <ScoreRow
                  key={record.ruleId}
                  who="A rule"
                  what={ruleWords(record.ruleId)}
                  record={record}
                  follows={
                    record.missed === 0
                      ? 'counts in full'
                      : `counts for ${Math.round(ruleWeight(record) * 100)} % of its weight`
                  }
                />
              ))}
              {people.map(({ personId, name, ...record }) => (
                <ScoreRow
                  key={personId}
                  who={name}
                  what="own changes, in the cup"
                  record={record}
                  follows=""
                />
              ))}
            </tbody>
          </table>
        </WideTable>
      )}
    </section>
  );
}

/** How many changes were told from the version before when they were tasted blind. */
function useToldBlind(): TrackRecord {
  const { data } = useComparisonsQuery();
  const opened =
    data?.flatMap(({ isOfChange, tests }) => {
      const last = isOfChange ? tests.findLast(({ state }) => state === 'opened') : undefined;
      return last ? [last.isFound] : [];
    }) ?? [];
  const came = opened.filter(Boolean).length;
  return { came, missed: opened.length - came };
}

function ScoreRow({
  who,
  what,
  record: { came, missed },
  follows,
}: {
  who: string;
  what: string;
  record: TrackRecord;
  follows: string;
}) {
  return (
    <tr>
      <th scope="row" className={`${CELL} text-left font-semibold`}>
        {who}
      </th>
      <td className={CELL}>{what}</td>
      <td className={`${CELL} reading text-right whitespace-nowrap`}>
        <span className="font-semibold">{came}</span> of {came + missed}
      </td>
      <td className={`${CELL} text-quiet`}>{follows}</td>
    </tr>
  );
}

function ruleWords(ruleId: string): string {
  const rule = TASTE_RULES.find(({ id }) => id === ruleId);
  return rule ? `${FINDING_WORDS[rule.finding]}: ${rule.because}` : ruleId;
}
