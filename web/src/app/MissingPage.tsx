import { ButtonLink } from '../ui/Button';

export function MissingPage() {
  return (
    <div className="max-w-xl pt-10">
      <h1 className="mb-2 text-title font-bold">Page not found</h1>
      <p className="mb-4">There is no page at this address.</p>
      <ButtonLink to="/lots">All lots</ButtonLink>
    </div>
  );
}
