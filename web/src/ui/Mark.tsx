/** The mark: a staircase of three steps. */
export function Mark({ height = 18 }: { height?: number }) {
  return (
    <svg width={(height * 22) / 18} height={height} viewBox="0 0 22 18" aria-hidden>
      <path d="M1 17 L4 12 H9 L12 7 H16 L19 1 H22" className="fill-none stroke-water" strokeWidth={2.4} />
    </svg>
  );
}
