import { Plus, X } from 'lucide-react';
import type { GrinderWord } from '@vendu/core';
import { Button } from '../ui/Button';
import { INPUT } from '../ui/Field';
import { QuantityField } from '../ui/QuantityField';
import { DECIMAL } from '../ui/quantities';

/** What settings are called on one grinder: "medium-fine" is another span on each. */
export function GrinderWords({
  words,
  onChange,
  errors,
}: {
  words: readonly GrinderWord[];
  onChange: (words: GrinderWord[]) => void;
  errors: Record<string, string>;
}) {
  const put = (index: number, changed: Partial<GrinderWord>) =>
    onChange(words.map((word, at) => (at === index ? { ...word, ...changed } : word)));
  return (
    <fieldset>
      <legend className="heading mb-2 w-full">Its words</legend>
      <ul className="flex flex-col gap-2">
        {words.map(({ word, fromSetting, toSetting }, index) => (
          <li key={index}>
            <div className="grid grid-cols-[2fr_1fr_1fr_auto] gap-3">
              <input
                aria-label={`Word ${index + 1}`}
                aria-invalid={errors[`words.${index}.word`] !== undefined}
                className={INPUT}
                placeholder="medium-fine"
                autoComplete="off"
                value={word}
                onChange={({ target }) => put(index, { word: target.value })}
              />
              <QuantityField
                labelHidden
                label={`Word ${index + 1} from`}
                quantity={DECIMAL}
                value={fromSetting}
                onCommit={(setting) => put(index, { fromSetting: setting })}
                error={errors[`words.${index}.fromSetting`]}
              />
              <QuantityField
                labelHidden
                label={`Word ${index + 1} to`}
                quantity={DECIMAL}
                value={toSetting}
                onCommit={(setting) => put(index, { toSetting: setting })}
                error={errors[`words.${index}.toSetting`]}
              />
              <Button
                weight="quiet"
                aria-label={`Remove word ${index + 1}`}
                onClick={() => onChange(words.filter((_, at) => at !== index))}
              >
                <X aria-hidden size={16} />
              </Button>
            </div>
            {errors[`words.${index}.word`] && (
              <p role="alert" className="text-tiny font-medium text-alarm">
                {errors[`words.${index}.word`]}
              </p>
            )}
          </li>
        ))}
      </ul>
      <Button
        className="mt-2"
        onClick={() => {
          const after = words.at(-1)?.toSetting ?? 0;
          onChange([...words, { word: '', fromSetting: after, toSetting: after }]);
        }}
      >
        <Plus aria-hidden size={16} /> Add a word
      </Button>
    </fieldset>
  );
}
