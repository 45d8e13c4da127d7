import { planDraftKey, type PlanDraft } from '../board/planDraft';
import { useDraft } from '../device/draft';
import type { BrewPlan, ChangeSource, Hope } from '@vendu/core';

/** Edits that can be taken back. */
const LONGEST_PAST = 100;

export interface PlanEditor {
  basedOn: number;
  plan: BrewPlan;
  note: string;
  isChanged: boolean;
  edit: (plan: BrewPlan) => void;
  writeNote: (note: string) => void;
  hopes: Hope[];
  writeHopes: (hopes: Hope[]) => void;
  /** Whose idea the plan is: of a proposal that was edited, the editor's own. */
  source: ChangeSource;
  undo: (() => void) | null;
  redo: (() => void) | null;
  /** Lets the draft go; the version it started from shows again. */
  drop: () => void;
  /** Puts the same edits on top of another version, after someone else saved one. */
  rebase: (onto: number) => void;
}

/** Editing of one recipe's plan: undo, redo, and a draft that survives reload and a lost server. */
export function usePlanDraft({
  recipeId,
  version,
}: {
  recipeId: number;
  version: { number: number; plan: BrewPlan };
}): PlanEditor {
  const fresh: PlanDraft = { basedOn: version.number, plan: version.plan, past: [], future: [], note: '' };
  const [kept, change, forget] = useDraft<PlanDraft | null>(planDraftKey(recipeId), null);
  const draft = kept ?? fresh;
  const isChanged = kept !== null && JSON.stringify(draft.plan) !== JSON.stringify(version.plan);
  return {
    basedOn: draft.basedOn,
    plan: draft.plan,
    note: draft.note,
    isChanged,
    edit: (plan) =>
      change({ ...draft, plan, past: [...draft.past, draft.plan].slice(-LONGEST_PAST), future: [] }),
    writeNote: (note) => change({ ...draft, note }),
    hopes: draft.hopes ?? [],
    writeHopes: (hopes) => change({ ...draft, hopes }),
    source:
      draft.proposed && JSON.stringify(draft.proposed.plan) === JSON.stringify(draft.plan)
        ? draft.proposed.source
        : { kind: 'own' },
    undo: step(draft.past, (plan, past) =>
      change({ ...draft, plan, past, future: [draft.plan, ...draft.future] }),
    ),
    redo: step([...draft.future].reverse(), (plan, rest) =>
      change({ ...draft, plan, past: [...draft.past, draft.plan], future: rest.reverse() }),
    ),
    drop: () => {
      change(null);
      forget();
    },
    rebase: (onto) => change({ ...draft, basedOn: onto }),
  };
}

/** Takes the newest of a pile, when there is one. */
function step(
  pile: readonly BrewPlan[],
  take: (plan: BrewPlan, rest: BrewPlan[]) => void,
): (() => void) | null {
  const newest = pile.at(-1);
  return newest === undefined ? null : () => take(newest, pile.slice(0, -1));
}
