import { Button } from '../ui/Button';

/** What of the lab's kit fits a figure of the plan: one tap takes it. */
export function FromKit<T extends { id: number; name: string }>({
  label,
  things,
  figureOf,
  onTake,
}: {
  label: string;
  things: readonly T[];
  figureOf: (thing: T) => string;
  onTake: (thing: T) => void;
}) {
  if (things.length === 0) return null;
  return (
    <p className="col-span-full flex flex-wrap items-center gap-x-3 gap-y-1 text-small text-quiet">
      {label}:
      {things.map((thing) => (
        <Button key={thing.id} weight="quiet" onClick={() => onTake(thing)}>
          {thing.name}, <span className="reading">{figureOf(thing)}</span>
        </Button>
      ))}
    </p>
  );
}
