import { BREWER_ADVICE } from '@vendu/core';

/** For a brewer that has no edition: which way to begin, said as what it is. */
export function OtherBrewers() {
  return (
    <details className="text-small print:hidden">
      <summary className="heading min-h-6 cursor-pointer">In another brewer</summary>
      <p className="my-2 text-quiet">
        Not proven there: keep dose, water and times, begin so, and go by the taste.
      </p>
      <dl className="grid gap-x-4 gap-y-1 sm:grid-cols-[auto_1fr]">
        {BREWER_ADVICE.map(({ brewer, change }) => (
          <div key={brewer} className="contents">
            <dt className="font-semibold">{brewer}</dt>
            <dd className="mb-1.5 sm:mb-0">{change}</dd>
          </div>
        ))}
      </dl>
    </details>
  );
}
