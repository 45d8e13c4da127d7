import { useDraft, writeDraft } from '../device/draft';
import type { BrewPlan } from '@vendu/core';

/** The plan being edited, with its past and future; `basedOn` is the version it started from. */
interface PlanDraft {
  basedOn: number;
  plan: BrewPlan;
  past: BrewPlan[];
  future: BrewPlan[];
  note: string;
}

/** Edits that can be taken back. */
const LONGEST_PAST = 100;

export interface PlanEditor {
  basedOn: number;
  plan: BrewPlan;
  note: string;
  isChanged: boolean;
  edit: (plan: BrewPlan) => void;
  writeNote: (note: string) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  /** Lets the draft go; the version it started from shows again. */
  drop: () => void;
  /** Puts the same edits on top of another version, after someone else saved one. */
  rebase: (onto: number) => void;
}

/** Puts a plan on a recipe's board from elsewhere, as an edit of its newest version that can be taken back. */
export function putOnBoard(
  recipeId: number,
  version: { number: number; plan: BrewPlan },
  plan: BrewPlan,
  note: string,
): void {
  const draft: PlanDraft = { basedOn: version.number, plan, past: [version.plan], future: [], note };
  writeDraft(`recipe.${recipeId}`, draft);
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
  const [kept, change, forget] = useDraft<PlanDraft | null>(`recipe.${recipeId}`, null);
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
