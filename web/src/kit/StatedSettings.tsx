import { statedAgainstMeasured, statedAtOdds, type StatedPair } from '@vendu/core';
import { StatedSettingDto, type GrinderView, type KitView, type StatedSettingView } from '@vendu/contract';
import { DECIMAL } from '../ui/quantities';
import { WideTable } from '../ui/WideTable';
import { EditButton } from './EditButton';
import { FiguresForm } from './FiguresForm';
import { grinderOptions } from './kitOptions';
import { RemoveButton } from './RemoveButton';
import { useSaveKit } from './useSaveKit';
import { withoutId } from './withoutId';

/** What others state of two grinders, beside what was measured here and beside each other: tables disagree. */
export function StatedSettings({ kit }: { kit: KitView }) {
  const save = useSaveKit();
  const [first, second] = kit.grinders;
  if (!first || !second) return null;
  const options = grinderOptions(kit).map(({ id, name }) => ({ value: id, words: name }));
  return (
    <div className="mt-6">
      <div className="mb-1 flex items-end gap-4">
        <h3 className="grow font-semibold">
          Stated by others{' '}
          <span className="font-normal text-quiet">and what was measured here; numbers carry over badly</span>
        </h3>
        <EditButton words="Add a statement" title="Add a statement">
          {(leave) => (
            <FiguresForm
              draftKey="kit.stated.new"
              dto={StatedSettingDto}
              initial={{ grinderId: first.id, otherGrinderId: second.id, source: '', revision: null }}
              fields={[
                { field: 'grinderId', label: 'On this grinder', kind: 'choice', options },
                { field: 'setting', label: 'this setting', kind: 'figure', quantity: DECIMAL },
                { field: 'source', label: 'Who says so', kind: 'text' },
                { field: 'otherGrinderId', label: 'is on this one', kind: 'choice', options },
                { field: 'otherSetting', label: 'that setting', kind: 'figure', quantity: DECIMAL },
              ]}
              onSave={(body) => save({ part: 'stated-settings', id: null, body })}
              onLeave={leave}
            />
          )}
        </EditButton>
      </div>
      {kit.statedSettings.length > 0 && (
        <WideTable>
          <table className="w-full min-w-150 text-small">
            <thead>
              <tr className="border-b border-rule text-left text-quiet">
                <th className="py-1 font-normal">Statement</th>
                <th className="py-1 pl-3 font-normal">Who says so</th>
                <th className="py-1 pl-3 font-normal">Beside it</th>
                <th>
                  <span className="sr-only">Remove</span>
                </th>
              </tr>
            </thead>
            <tbody>
              {kit.statedSettings.map((stated) => {
                const said = pairWords(stated, kit.grinders);
                return (
                  <tr key={stated.id} className="border-b border-rule align-baseline">
                    <th scope="row" className="py-1.5 text-left font-normal">
                      {said}
                    </th>
                    <td className="py-1.5 pl-3">{stated.source}</td>
                    <td className="py-1.5 pl-3">
                      <Against stated={stated} kit={kit} />
                    </td>
                    <td className="py-1 text-right">
                      <RemoveButton
                        part="stated-settings"
                        thing={{ ...stated, name: said }}
                        again={{ ...withoutId(stated), revision: null }}
                      />
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </table>
        </WideTable>
      )}
    </div>
  );
}

function pairWords(
  { grinderId, setting, otherGrinderId, otherSetting }: StatedSettingView,
  grinders: readonly GrinderView[],
): string {
  const nameOf = (id: number) => grinders.find((each) => each.id === id)?.name ?? '';
  return `${nameOf(grinderId)} ${setting} = ${nameOf(otherGrinderId)} ${otherSetting}`;
}

/** What speaks against a statement: the two curves, and whoever states otherwise of the same pair. */
function Against({ stated, kit }: { stated: StatedSettingView; kit: KitView }) {
  const grinder = kit.grinders.find(({ id }) => id === stated.grinderId);
  const other = kit.grinders.find(({ id }) => id === stated.otherGrinderId);
  if (!grinder || !other) return null;
  const measured = statedAgainstMeasured({ stated, grinder, other });
  const steps = { settingStep: grinder.settingStep, otherStep: other.settingStep };
  const atOdds = kit.statedSettings.filter((another) => {
    const pair = another.id === stated.id ? null : asPairOf(another, stated);
    return pair !== null && statedAtOdds(stated, pair, steps);
  });
  return (
    <>
      {measured.ok ? (
        <span className={measured.value.isAtOdds ? 'font-semibold text-alarm' : undefined}>
          {measured.value.isAtOdds ? 'measured otherwise: ' : 'agrees with what was measured: '}
          <span className="reading">
            {Math.round(measured.value.grindUm)} and {Math.round(measured.value.otherUm)} µm
          </span>
        </span>
      ) : (
        <span className="text-quiet">{measured.message}</span>
      )}
      {atOdds.map((another) => (
        <span key={another.id} className="block font-semibold text-alarm">
          {another.source} states otherwise: {pairWords(another, kit.grinders)}
        </span>
      ))}
    </>
  );
}

/** Another statement the same way round; `null` where it is of other grinders. */
function asPairOf(another: StatedSettingView, stated: StatedSettingView): StatedPair | null {
  const { grinderId, setting, otherGrinderId, otherSetting } = another;
  if (grinderId === stated.grinderId && otherGrinderId === stated.otherGrinderId) return another;
  const isTurned = grinderId === stated.otherGrinderId && otherGrinderId === stated.grinderId;
  return isTurned ? { setting: otherSetting, otherSetting: setting } : null;
}
