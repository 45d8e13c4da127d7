/** The allergen fact of a co-ferment, wherever the lot is brewed, tasted or published. */
export function AdditionsNote({ additions }: { additions: string }) {
  if (!additions) return null;
  return (
    <p className="mt-1 text-small font-medium text-alarm">
      Co-fermented with {additions}: tell tasters and customers, and declare it as your local food law asks.
    </p>
  );
}
