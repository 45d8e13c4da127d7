import { CAFFEINE_GUIDANCE_MG, type DayPlan } from '@vendu/core';
import type { TodayPerson, TodayView } from '@vendu/contract';
import { useState } from 'react';
import { Button } from '../ui/Button';
import { classes } from '../ui/classes';
import { Tick } from '../ui/Tick';
import { hoursToday, withPresence, type TodayChoice } from './dayOfToday';
import { HoursForm } from './HoursForm';

interface WhoIsInProps {
  today: TodayView;
  plan: DayPlan | null;
  /** Those whom the plan counts with, in its order. */
  planned: readonly string[];
  choice: TodayChoice;
  nowMin: number;
  onChange: (changed: Pick<TodayChoice, 'out' | 'stays'>) => void;
}

/** Whose hands there are and when, and what the day's tasting brings each of them. */
export function WhoIsIn({ today: { people }, plan, planned, choice, nowMin, onChange }: WhoIsInProps) {
  return (
    <section>
      <h2 className="heading mb-1">Who is in</h2>
      <ul>
        {people.map((person) => (
          <Person
            key={person.id}
            person={person}
            byEveningMg={plan?.caffeineMg[planned.indexOf(person.name)] ?? person.caffeineMg}
            isIn={hoursToday(person, choice, nowMin) !== null}
            onTick={(isIn) => onChange(withPresence(choice, person, { isIn, nowMin }))}
          />
        ))}
      </ul>
      <p className="caption mt-1">
        Caffeine by the evening if it is swallowed, from doses and assumed sips. Guidance for adults is{' '}
        {CAFFEINE_GUIDANCE_MG.inADay} mg a day, half of it in pregnancy: spit.
      </p>
    </section>
  );
}

function Person({
  person,
  byEveningMg,
  isIn,
  onTick,
}: {
  person: TodayPerson;
  byEveningMg: number;
  isIn: boolean;
  onTick: (isIn: boolean) => void;
}) {
  const [isEdited, setEdited] = useState(false);
  const { name, hours } = person;
  const isMuch = byEveningMg > CAFFEINE_GUIDANCE_MG.inADay;
  return (
    <li className="border-b border-rule">
      <div className="flex items-center justify-between gap-3">
        <Tick label={name} checked={isIn} onChange={onTick} />
        <span className="flex shrink-0 items-center gap-3">
          <Button
            weight="quiet"
            className="reading text-small font-normal!"
            aria-expanded={isEdited}
            aria-label={`Hours of ${name}: ${hours ? `${hours.from} to ${hours.until}` : 'any time'}`}
            onClick={() => setEdited(!isEdited)}
          >
            {hours ? `${hours.from}–${hours.until}` : 'any time'}
          </Button>
          <span
            className={classes(
              'reading w-14 text-right text-small',
              isMuch ? 'font-bold text-alarm' : 'text-quiet',
            )}
          >
            {Math.round(byEveningMg)} mg
          </span>
        </span>
      </div>
      {isEdited && <HoursForm person={person} onDone={() => setEdited(false)} />}
    </li>
  );
}
