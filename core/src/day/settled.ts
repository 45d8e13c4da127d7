import type { DayCrew } from './dayJob.js';
import { followUps, type DayTask, type FollowUps, type Waiting } from './followUps.js';

/**
 * A day as far as it stands: its brews, and what was begun before the last of them. No later brew moves that, so only the
 * rest is given out anew.
 */
export class Settled {
  readonly tasks: DayTask[] = [];
  private readonly caffeineMg: number[];

  constructor(
    private readonly crew: DayCrew,
    private untilMin: number,
  ) {
    this.caffeineMg = crew.people.map((person) => person.caffeineMg);
  }

  /** What follows, around what stands and one brew more. @returns `null` where it does not fit */
  giveOut(brew: DayTask | null, all: readonly Waiting[]): FollowUps | null {
    const open = this.tasks.filter(({ endMin }) => endMin > this.untilMin);
    return followUps({
      fixed: brew ? [...open, brew] : open,
      all,
      people: this.crew.people.map((person, index) => ({
        ...person,
        caffeineMg: this.caffeineMg[index] ?? 0,
      })),
      nowMin: this.untilMin,
    });
  }

  /**
   * From the last brew on, minute by minute and hand by hand, where a kettle is free.
   *
   * @returns what the first that fits answers, or `null`
   */
  earliest<T>(brewMin: number, fits: (startMin: number, person: number) => T | null): T | null {
    const { people, kettles } = this.crew;
    const latest = Math.max(0, ...people.map(({ toMin }) => toMin));
    for (let startMin = this.untilMin; startMin + brewMin <= latest; startMin++) {
      const endMin = startMin + brewMin;
      const beside = this.tasks.filter((task) => task.startMin < endMin && startMin < task.endMin);
      if (beside.filter(({ task }) => task === 'brew').length >= kettles) continue;
      for (const [person, { fromMin, toMin }] of people.entries()) {
        if (startMin < fromMin || endMin > toMin) continue;
        if (beside.some((task) => task.person === person)) continue;
        const found = fits(startMin, person);
        if (found !== null) return found;
      }
    }
    return null;
  }

  /** Takes a brew in, and what was begun before it. @returns what still waits */
  settle(brew: DayTask, all: readonly Waiting[], given: readonly DayTask[]): Waiting[] {
    this.untilMin = brew.startMin;
    const begun = given.filter(({ startMin }) => startMin < this.untilMin);
    this.tasks.push(brew, ...begun);
    return all.filter(({ jobId, follow, sipMg }) => {
      const task = begun.find((each) => each.jobId === jobId && each.task === follow);
      if (task) this.caffeineMg[task.person] = (this.caffeineMg[task.person] ?? 0) + sipMg;
      return task === undefined;
    });
  }
}
