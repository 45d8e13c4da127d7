type Task = () => unknown;

const tasks: Task[] = [];
let isEnding = false;

/** Registers what must not outlive this process. Run in reverse order of registration. */
export function atEnd(task: Task): void {
  tasks.push(task);
}

export async function cleanUp(): Promise<void> {
  for (let task = tasks.pop(); task; task = tasks.pop()) {
    try {
      await task();
    } catch (error) {
      console.error(error);
    }
  }
}

/** Ctrl-C and friends clean up before the process ends; pressed again while that runs, they are ignored. */
export function cleanUpOnSignals(): void {
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP'] as const) {
    process.on(signal, () => {
      if (isEnding) return;
      isEnding = true;
      console.log('\n→ stopping');
      void cleanUp().then(() => process.exit(signal === 'SIGTERM' ? 0 : 130));
    });
  }
}
