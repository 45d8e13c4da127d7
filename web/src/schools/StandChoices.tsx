import { useState } from 'react';
import type { SchoolPoint, Schools } from '@vendu/core';
import { classes } from '../ui/classes';
import { SCHOOL_POINTS, SCHOOL_WORDS } from './schoolWords';

interface StandChoicesProps {
  schools: Schools;
  /** Where these differ, the row says so. */
  house?: Schools;
  isReadOnly?: boolean;
  /** Stores a stand; done when the server has answered. */
  onChoose: (schools: Schools) => Promise<unknown>;
}

/** The twelve disputed points, each with all its sides told alike; one of them holds. */
export function StandChoices({ schools: stored, house, isReadOnly = false, onChoose }: StandChoicesProps) {
  // A stand shows as taken at once; what the server then has is what stays.
  const [ahead, setAhead] = useState<Schools | null>(null);
  const schools = ahead ?? stored;
  async function choose(next: Schools) {
    setAhead(next);
    await onChoose(next);
    setAhead(null);
  }
  return (
    <ol>
      {SCHOOL_POINTS.map((point, index) => (
        <li
          key={point}
          className="grid grid-cols-[2rem_minmax(0,1fr)] gap-x-3 gap-y-2 border-b border-rule py-3 lg:grid-cols-[2rem_11rem_minmax(0,1fr)]"
        >
          <span className="reading text-small text-quiet">{index + 1}</span>
          <div>
            <h3 className="font-semibold">{SCHOOL_WORDS[point].name}</h3>
            <p className="text-small text-quiet">{SCHOOL_WORDS[point].question}</p>
            {house && house[point] !== schools[point] && (
              <p className="text-tiny font-medium">other than the house</p>
            )}
          </div>
          <Stands
            point={point}
            schools={schools}
            isReadOnly={isReadOnly}
            onChoose={(next) => void choose(next)}
          />
        </li>
      ))}
    </ol>
  );
}

function Stands({
  point,
  schools,
  isReadOnly,
  onChoose,
}: {
  point: SchoolPoint;
  schools: Schools;
  isReadOnly: boolean;
  onChoose: (schools: Schools) => void;
}) {
  const { name, stands } = SCHOOL_WORDS[point];
  return (
    <div
      role="radiogroup"
      aria-label={name}
      className="col-start-2 grid grid-cols-1 gap-3 sm:auto-cols-fr sm:grid-flow-col lg:col-start-3"
    >
      {Object.entries(stands as Record<string, { name: string; because: string }>).map(([stand, words]) => {
        const isTaken = schools[point] === stand;
        return (
          <label
            key={stand}
            className={classes(
              'flex cursor-pointer flex-col border-l-4 py-0.5 pl-3 has-focus-visible:outline-2 has-focus-visible:outline-water',
              isTaken ? 'border-ink' : 'border-rule hover:border-edge',
            )}
          >
            <span className="flex items-center gap-2">
              <input
                type="radio"
                name={`school-${point}`}
                className="size-4 accent-ink"
                checked={isTaken}
                disabled={isReadOnly}
                onChange={() => onChoose({ ...schools, [point]: stand })}
              />
              <span className={isTaken ? 'font-semibold' : ''}>{words.name}</span>
            </span>
            <span className="text-small text-quiet">{words.because}</span>
          </label>
        );
      })}
    </div>
  );
}
