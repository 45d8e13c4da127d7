import { Link } from 'react-router';
import { outlookWords } from '@vendu/core';
import type { TodayView } from '@vendu/contract';
import { classes } from '../ui/classes';
import { dayOf } from '../ui/dates';
import { DUE_WORDS } from '../ui/words';
import { launchWords } from '../lots/launchWords';

/** What presses besides the brews: launches, signatures, instruments. */
export function Presses({ today: { launches, signatures, zeroChecks } }: { today: TodayView }) {
  return (
    <>
      {launches.length > 0 && (
        <section>
          <h2 className="heading">Launches ahead</h2>
          <ul>
            {launches.map(({ lotId, lotName, daysToLaunch, outlook }) => (
              <li key={lotId} className="border-b border-rule py-2 text-small">
                <span className="flex items-baseline justify-between gap-3">
                  <Link to={`/lots/${lotId}`} className="font-semibold hover:underline">
                    {lotName}
                  </Link>
                  <span className={classes('shrink-0', outlook.isInDanger && 'font-bold text-alarm')}>
                    {launchWords(daysToLaunch)}
                  </span>
                </span>
                <span className={outlook.isInDanger ? '' : 'text-quiet'}>
                  {outlook.isInDanger && <b className="text-alarm">In danger. </b>}
                  {outlookWords(outlook)}
                </span>
              </li>
            ))}
          </ul>
        </section>
      )}
      {signatures.length > 0 && (
        <section>
          <h2 className="heading">For a lead</h2>
          <ul>
            {signatures.map(({ lotId, lotName, action }) => (
              <li key={lotId} className="border-b border-rule py-2 text-small">
                <Link to={`/lots/${lotId}`} className="font-semibold hover:underline">
                  {lotName}
                </Link>
                : {DUE_WORDS[action]}
              </li>
            ))}
          </ul>
        </section>
      )}
      {zeroChecks.length > 0 && (
        <section>
          <h2 className="heading">Instruments</h2>
          <ul>
            {zeroChecks.map(({ instrument, lastAt, everyDays }) => (
              <li key={instrument} className="border-b border-rule py-2 text-small">
                <Link to="/kit#instruments" className="font-semibold hover:underline">
                  {instrument}
                </Link>
                : zero check due,{' '}
                {lastAt === null ? 'never checked' : `last ${dayOf(lastAt)}, every ${everyDays} days`}
              </li>
            ))}
          </ul>
        </section>
      )}
    </>
  );
}
