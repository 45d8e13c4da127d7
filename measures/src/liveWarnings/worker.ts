import { watch, type Watched, type WatchTask } from './watch.js';

/** Some brews of one kind: what the pool hands out. */
export default function watchAll(tasks: WatchTask[]): Watched[] {
  return tasks.map(watch);
}
