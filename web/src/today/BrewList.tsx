import {
  closestCenter,
  DndContext,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import {
  arrayMove,
  SortableContext,
  sortableKeyboardCoordinates,
  useSortable,
  verticalListSortingStrategy,
} from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { GripVertical } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import type { DayPlan } from '@vendu/core';
import type { TodayBrew } from '@vendu/contract';
import { Button, ButtonLink } from '../ui/Button';
import { classes } from '../ui/classes';
import { clockOf } from './dayOfToday';
import { whyWords } from './todayWords';

interface BrewListProps {
  /** In the order in which they are made. */
  brews: readonly TodayBrew[];
  plan: DayPlan;
  onOrder: (ids: string[]) => void;
  onSkip: (id: string) => void;
}

/** The brews of the day in their order, to be moved by hand or by keys; each says why, and when it begins. */
export function BrewList({ brews: planned, plan, onOrder, onSkip }: BrewListProps) {
  // While one is moved the list stands still: a plan that comes in between shows once it is put down.
  const [held, setHeld] = useState<readonly TodayBrew[] | null>(null);
  const brews = held ?? planned;
  const sensors = useSensors(
    // A press that moves: a tap on the handle is none.
    useSensor(PointerSensor, { activationConstraint: { distance: 6 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
  const ids = brews.map(({ id }) => id);
  const nameOf = (id: string | number) => brews.find((brew) => brew.id === id)?.lotName ?? '';
  const placeOf = (active: string | number, over: string | number | undefined) =>
    over === undefined ? '' : `${nameOf(active)} is brew ${ids.indexOf(String(over)) + 1}.`;
  return (
    <DndContext
      sensors={sensors}
      accessibility={{
        screenReaderInstructions: {
          draggable:
            'Space picks the brew up, the arrows move it, Space puts it down, Escape leaves it where it was.',
        },
        announcements: {
          onDragStart: ({ active }) => `${nameOf(active.id)} picked up.`,
          onDragOver: ({ active, over }) => placeOf(active.id, over?.id),
          onDragEnd: ({ active, over }) => placeOf(active.id, over?.id),
          onDragCancel: ({ active }) => `${nameOf(active.id)} stays where it was.`,
        },
      }}
      collisionDetection={closestCenter}
      onDragStart={() => setHeld(planned)}
      onDragCancel={() => setHeld(null)}
      onDragEnd={({ active, over }) => {
        setHeld(null);
        if (!over || active.id === over.id) return;
        onOrder(arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id))));
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className="border-t border-ink">
          {brews.map((brew, index) => (
            <Row key={brew.id} brew={brew} number={index + 1} plan={plan} onSkip={() => onSkip(brew.id)} />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

function Row({
  brew,
  number,
  plan,
  onSkip,
}: {
  brew: TodayBrew;
  number: number;
  plan: DayPlan;
  onSkip: () => void;
}) {
  const { id, lotId, lotName, recipe, isPressing, doseG, gramsLeftG } = brew;
  const { attributes, listeners, setNodeRef, transform, transition, isDragging } = useSortable({ id });
  const start = plan.tasks.find(({ jobId, task }) => jobId === id && task === 'brew');
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={classes(
        'grid grid-cols-[1.75rem_3.5rem_minmax(0,1fr)] items-center gap-x-2 gap-y-1 border-b border-rule bg-sheet py-2 sm:grid-cols-[1.75rem_3.5rem_minmax(0,1fr)_auto]',
        isDragging && 'relative z-10 outline-2 outline-ink',
      )}
    >
      <button
        type="button"
        aria-label={`Move ${lotName}`}
        className="grid h-11 w-7 cursor-grab touch-none place-items-center text-quiet hover:text-ink"
        {...attributes}
        {...listeners}
      >
        <GripVertical aria-hidden size={16} />
      </button>
      <span className="reading leading-tight">
        <span className="block text-large font-semibold">{start ? clockOf(start.startMin) : '–'}</span>
        <span className="caption">brew {number}</span>
      </span>
      <span className="min-w-0">
        <Link to={`/lots/${lotId}`} className="font-semibold hover:underline">
          {lotName}
        </Link>
        {recipe && (
          <span className="text-small text-quiet">
            {' '}
            {recipe.brewerName}, version {recipe.versionNumber}
          </span>
        )}
        <span className={classes('block text-small', isPressing && 'font-medium')}>
          <span className="first-letter:uppercase inline-block">{whyWords(brew)}</span>
          {gramsLeftG !== null && gramsLeftG < doseG && (
            <b className="ml-2 text-alarm">only {Math.round(gramsLeftG)} g left</b>
          )}
          {!start && <b className="ml-2 text-alarm">does not fit into the day</b>}
        </span>
      </span>
      <span className="col-start-3 flex gap-1 sm:col-start-4">
        <Button weight="quiet" aria-label={`Not today: ${lotName}`} onClick={onSkip}>
          Not today
        </Button>
        <ButtonLink
          to={recipe ? `/bench/${recipe.versionId}?recipe=${recipe.id}` : `/lots/${lotId}/start`}
          weight={number === 1 ? 'main' : 'plain'}
        >
          {recipe ? 'Brew it' : 'Begin a recipe'}
        </ButtonLink>
      </span>
    </li>
  );
}
