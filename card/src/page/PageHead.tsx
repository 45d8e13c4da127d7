/** The way back to all that the house has published. */
export function PageHead({ houseName }: { houseName: string }) {
  return (
    <header className="border-b border-ink px-5 py-2 text-small print:hidden">
      <a href="/r" className="underline-offset-3 hover:underline">
        {houseName}
      </a>
    </header>
  );
}
