import { useState } from 'react';
import { useNavigate } from 'react-router';
import { readRecipeFile, type RecipeFile } from '@vendu/core';
import type { KitView, NewRecipeDto } from '@vendu/contract';
import { troubleOf } from '../api/problem';
import { useStartRecipeMutation } from '../api/recipesApi';
import { EditButton } from '../kit/EditButton';
import { FittedStaircase } from '../ui/FittedStaircase';
import { Button } from '../ui/Button';
import { Notice, TroubleNotice } from '../ui/Notice';
import { beginsFromFile } from './beginsFromFile';

interface FromFileProps {
  lotId: number;
  kit: KitView;
  /** What is chosen on the page: taken where the house has nothing of the file's kit. */
  asked: NewRecipeDto;
}

/** Begins a recipe of this lot with one that somebody sent as a file. */
export function FromFile(props: FromFileProps) {
  return (
    <EditButton words="From a file" title="Begin with a recipe file">
      {(leave) => <FileSheet {...props} onLeave={leave} />}
    </EditButton>
  );
}

function FileSheet({ lotId, kit, asked, onLeave }: FromFileProps & { onLeave: () => void }) {
  const [read, setRead] = useState<RecipeFile | null>(null);
  const [refusal, setRefusal] = useState<string | null>(null);
  const [start, { error, isLoading, reset }] = useStartRecipeMutation();
  const navigate = useNavigate();
  async function take(file: File | undefined) {
    if (!file) return;
    reset();
    const result = readRecipeFile(await file.text());
    setRead(result.ok ? result.value : null);
    setRefusal(result.ok ? null : result.message);
  }
  const begun = read && beginsFromFile(read, kit, asked);
  async function keep() {
    if (!begun) return;
    const { data } = await start({ lotId, recipe: begun.recipe });
    if (data) void navigate(`/recipes/${data.id}`);
  }
  return (
    <div className="flex flex-col gap-4">
      <label className="flex flex-col gap-1 text-small font-medium text-quiet">
        Recipe file
        <input
          type="file"
          accept=".json,application/json"
          className="text-body text-ink file:mr-3 file:h-9 file:rounded-edge file:border file:border-edge file:bg-raised file:px-3"
          onChange={(event) => void take(event.target.files?.[0])}
        />
      </label>
      {refusal !== null && <Notice tone="alarm">{refusal}</Notice>}
      <TroubleNotice trouble={troubleOf(error)} />
      {read && begun && (
        <div>
          <p className="font-semibold">{begun.words}</p>
          {read.note !== '' && <p className="text-small">{read.note}</p>}
          <div className="my-3 bg-raised">
            <FittedStaircase
              plan={read.plan}
              height={150}
              label={`Staircase of the file: ${read.plan.pours.length} pours`}
            />
          </div>
          {begun.missing !== '' && <Notice>{begun.missing}</Notice>}
        </div>
      )}
      <div className="flex gap-3">
        <Button weight="main" disabled={isLoading || !begun} onClick={() => void keep()}>
          Keep the recipe of the file
        </Button>
        <Button weight="quiet" onClick={onLeave}>
          Leave it
        </Button>
      </div>
    </div>
  );
}
