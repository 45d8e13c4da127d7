import { useState } from 'react';
import { grinderCurve, NINE_OF_TEN, sizeOfSetting } from '@vendu/core';
import type { GrinderView, KitView } from '@vendu/contract';
import { DECIMAL, MICROMETRES, inRange } from '../ui/quantities';
import { QuantityField } from '../ui/QuantityField';
import { GrindOnGrinders } from './GrindOnGrinders';
import { KitChoice } from './KitChoice';
import { grinderOptions } from './kitOptions';

/** What a grind is: a size that is wanted, or what a grinder does at one of its settings. */
type Asked = { by: 'size'; grindUm: number } | { by: 'setting'; setting: number };

const SIZE = inRange(MICROMETRES, { label: 'Size', min: 200, max: 2000 });

/** "What does 22 mean here?", from either side: a setting of one grinder, or a size, as settings of all. */
export function SettingMeans({ kit }: { kit: KitView }) {
  const [grinderId, setGrinderId] = useState(kit.grinders[0]?.id ?? 0);
  const [asked, setAsked] = useState<Asked | null>(null);
  const grinder = kit.grinders.find(({ id }) => id === grinderId) ?? kit.grinders[0];
  if (!grinder) return null;
  const size = asked && sizeAsked(asked, grinder);
  return (
    <div className="mt-6 grid grid-cols-1 gap-x-10 gap-y-3 md:grid-cols-2">
      <div>
        <h3 className="mb-2 font-semibold">What a setting means elsewhere</h3>
        <div className="grid grid-cols-[minmax(0,1fr)_6rem_7rem] items-start gap-3">
          <KitChoice
            label="On this grinder"
            value={grinder.id}
            options={grinderOptions(kit)}
            onChange={(id) => {
              setGrinderId(id);
              // A number means nothing on another scale; a size stays what it is.
              if (asked?.by === 'setting') setAsked(null);
            }}
          />
          <QuantityField
            label="Setting"
            quantity={DECIMAL}
            value={asked?.by === 'setting' ? asked.setting : null}
            onOffer={(setting) => {
              const found = sizeAsked({ by: 'setting', setting }, grinder);
              if (typeof found === 'string') return found;
              setAsked({ by: 'setting', setting });
              return undefined;
            }}
            onClear={() => setAsked(null)}
          />
          <QuantityField
            label="or size"
            quantity={SIZE}
            value={asked?.by === 'size' ? asked.grindUm : null}
            onCommit={(grindUm) => setAsked({ by: 'size', grindUm })}
            onClear={() => setAsked(null)}
          />
        </div>
      </div>
      <div aria-live="polite">
        {size && typeof size !== 'string' ? (
          <>
            <h3 className="mb-1 font-semibold">
              <span className="reading">{Math.round(size.grindUm)} µm</span>
              {size.sdUm > 0 && (
                <span className="font-normal text-quiet">
                  , nine times of ten within {Math.round(NINE_OF_TEN * size.sdUm)} µm
                </span>
              )}
            </h3>
            <GrindOnGrinders
              grinders={
                asked.by === 'size' ? kit.grinders : kit.grinders.filter(({ id }) => id !== grinder.id)
              }
              {...size}
            />
          </>
        ) : (
          <p className="text-small text-quiet md:pt-8">
            Type a setting as somebody told it, or a size in µm; each grinder of the lab answers with its own.
          </p>
        )}
      </div>
    </div>
  );
}

/** The size that is meant, or why it is not known. */
function sizeAsked(asked: Asked, { points }: GrinderView): { grindUm: number; sdUm: number } | string {
  if (asked.by === 'size') return { grindUm: asked.grindUm, sdUm: 0 };
  const curve = grinderCurve({ points });
  if (!curve.ok) return curve.message;
  const size = sizeOfSetting({ curve: curve.value, setting: asked.setting });
  return size.ok ? size.value : size.message;
}
