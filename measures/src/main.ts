import { cpus } from 'node:os';
import { accuracy } from './accuracy.js';
import { blindTests } from './blindTests.js';
import { brewSpeed } from './brewSpeed.js';
import { ablation, brewsToTarget, splitFirst } from './brewsToTarget/brewsToTarget.js';
import { manyBrews } from './brewsToTarget/manyBrews.js';
import { houseShare } from './brewsToTarget/houseShare.js';
import { secondBrewer } from './brewsToTarget/secondBrewer.js';
import { starts } from './brewsToTarget/starts.js';
import { days } from './days.js';
import { heavyTasks } from './heavyTasks.js';
import { liveWarnings } from './liveWarnings/liveWarnings.js';
import { startsAgainstPractice } from './startsAgainstPractice/startsAgainstPractice.js';
import { practiceFacts } from './fit/practiceFacts.js';

/** Progress goes to the error stream, so that the figures alone can be kept in a file. */
const progress = (line: string) => {
  console.error(`  ${line}`);
};

const SECTIONS = {
  speed: brewSpeed,
  accuracy,
  facts: () => practiceFacts(progress),
  tasks: heavyTasks,
  days,
  blind: blindTests,
  warnings: () => liveWarnings(progress),
  starts: () => starts(progress),
  practice: startsAgainstPractice,
  brews: () => brewsToTarget(progress),
  split: () => splitFirst(progress),
  ablation: () => ablation(progress),
  many: manyBrews,
  house: houseShare,
  second: () => secondBrewer(progress),
};
type Section = keyof typeof SECTIONS;

const asked = process.argv.slice(2) as Section[];
const sections = asked.length > 0 ? asked : (Object.keys(SECTIONS) as Section[]);
console.log('# Benchmarks\n');
console.log(
  `Printed by \`./vendu bench\` on ${cpus().length} cores (${cpus()[0]?.model ?? 'unknown'}), Node ${process.versions.node}.\n`,
);
for (const section of sections) {
  progress(section);
  console.log(`${await SECTIONS[section]()}\n`);
}
