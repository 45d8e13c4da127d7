/** @example launchWords(3) // 'in 3 d' */
export function launchWords(daysToLaunch: number): string {
  if (daysToLaunch === 0) return 'today';
  return daysToLaunch > 0 ? `in ${daysToLaunch} d` : `${-daysToLaunch} d ago`;
}
