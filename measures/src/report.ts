/** A table in Markdown, its columns as wide as their widest cell. */
export function table(head: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  const cells = [head, ...rows].map((row) => row.map(String));
  const widths = head.map((_, column) => Math.max(3, ...cells.map((row) => (row[column] ?? '').length)));
  const line = (row: readonly string[]) =>
    `| ${widths.map((width, column) => (row[column] ?? '').padEnd(width)).join(' | ')} |`;
  const [first = [], ...rest] = cells;
  const rule = `| ${widths.map((width) => '-'.repeat(width)).join(' | ')} |`;
  return [line(first), rule, ...rest.map(line)].join('\n');
}

/** The value that a share of the list does not exceed. */
export function percentile(values: readonly number[], share: number): number {
  const sorted = [...values].sort((a, b) => a - b);
  return sorted[Math.min(sorted.length - 1, Math.max(0, Math.ceil(share * sorted.length) - 1))] ?? NaN;
}

/** Times of a task run again and again, ms: warmed up first, since a first run is compiled as it goes. */
export function timesOf(task: () => void, { warmUps = 20, runs = 60 } = {}): number[] {
  for (let run = 0; run < warmUps; run++) task();
  return Array.from({ length: runs }, () => {
    const startMs = performance.now();
    task();
    return performance.now() - startMs;
  });
}

export const fixed = (value: number, digits: number): string => value.toFixed(digits);
