import type { Expectation, Finding } from '@vendu/core';
import type { Trouble } from '../api/problem';
import { byField } from '../api/problem';
import { Button } from '../ui/Button';
import { Field, INPUT } from '../ui/Field';
import { Notice, TroubleNotice } from '../ui/Notice';
import { WhatItIsToDo } from './WhatItIsToDo';
import type { PlanEditor } from './usePlanDraft';

interface SaveVersionProps {
  editor: PlanEditor;
  /** What the change is expected to do; `null` where no forecast stands beside it. */
  figures: Expectation['figures'];
  /** What the last brew was found to have. */
  found: readonly Finding[];
  newestNumber: number;
  /** Somebody saved a version since this one was opened. */
  isStale: boolean;
  canSave: boolean;
  trouble: Trouble | null;
  onSave: () => void;
  /** What stood against the last try no longer counts. */
  onReset: () => void;
}

/** An edited plan becomes the next version, with a word on why; or is let go. */
export function SaveVersion({
  editor,
  figures,
  found,
  newestNumber,
  isStale,
  canSave,
  trouble,
  onSave,
  onReset,
}: SaveVersionProps) {
  return (
    <section className="flex flex-col gap-3 border-t-2 border-ink pt-3">
      {isStale && (
        <Notice tone="alarm">
          Version {newestNumber} was saved since you opened version {editor.basedOn}; it is drawn thin behind
          yours. Your changes are kept here.{' '}
          <Button
            onClick={() => {
              editor.rebase(newestNumber);
              onReset();
            }}
          >
            Put mine on top of version {newestNumber}
          </Button>
        </Notice>
      )}
      <Field label="What changed and why" error={byField(trouble?.errors ?? [])['note']}>
        {(control) => (
          <input
            {...control}
            className={INPUT}
            value={editor.note}
            onChange={(event) => editor.writeNote(event.target.value)}
          />
        )}
      </Field>
      <WhatItIsToDo figures={figures} found={found} hopes={editor.hopes} onHopes={editor.writeHopes} />
      <div className="flex gap-3">
        <Button weight="main" disabled={!canSave} onClick={onSave}>
          Save as version {newestNumber + 1}
        </Button>
        <Button
          weight="quiet"
          onClick={() => {
            editor.drop();
            onReset();
          }}
        >
          Discard
        </Button>
      </div>
      {!isStale && trouble && trouble.errors.length === 0 && <TroubleNotice trouble={trouble} />}
    </section>
  );
}
