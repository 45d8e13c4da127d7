import { ButtonLink } from '../ui/Button';

export function MissingPage() {
  return (
    <div className="max-w-xl pt-10">
      <h1 className="mb-2 text-title font-bold">Nothing here</h1>
      <p className="mb-4">No part of Vendu has this address.</p>
      <ButtonLink to="/lots">All lots</ButtonLink>
    </div>
  );
}
