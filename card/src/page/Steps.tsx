import { cardWords, formatDuration, type BrewPlan } from '@vendu/core';

/**
 * The steps in words. The clock above them is the program's: without it nothing stands there, and the steps are read as
 * they are.
 */
export function Steps({ plan, remarks = [] }: { plan: BrewPlan; remarks?: readonly string[] | undefined }) {
  const { before, steps, after } = cardWords(plan);
  return (
    <section aria-label="The steps">
      <div data-guide hidden className="print:hidden" />
      <ul
        aria-label="Before the clock"
        data-before
        className="border-b border-rule py-2.5 text-body print:columns-2 print:py-0.5 print:text-tiny"
      >
        {before.map((words) => (
          <li key={words}>{words}</li>
        ))}
      </ul>
      <ol data-steps>
        {steps.map((step, index) => (
          <li
            key={index}
            className="grid grid-cols-[4rem_1fr] gap-3 border-b border-rule py-2.5 text-large aria-[current]:bg-ink aria-[current]:px-2 aria-[current]:text-sheet print:py-0 print:text-small"
          >
            <span className="reading font-medium">
              {step.isAbout && <span className="block font-words text-tiny">about</span>}
              {formatDuration(step.atS)}
            </span>
            <span>
              <span data-words>{step.words}</span>
              {remarks[index] && <span className="block text-body print:inline"> {remarks[index]}</span>}
            </span>
          </li>
        ))}
      </ol>
      {after.map((words) => (
        <p
          key={words}
          data-after
          className="border-b border-rule py-2.5 pl-[4.75rem] text-large print:py-0 print:text-small"
        >
          {words}
        </p>
      ))}
    </section>
  );
}
