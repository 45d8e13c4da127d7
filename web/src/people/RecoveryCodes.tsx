import { Button } from '../ui/Button';

/** Codes to be taken along now: they are not told again. */
export function RecoveryCodes({ codes, onTaken }: { codes: readonly string[]; onTaken: () => void }) {
  return (
    <div className="mt-2 mb-4 border-l-2 border-ink pl-4">
      <h3 className="text-small font-medium">For when the phone is lost, shown once</h3>
      <ul className="reading my-2 grid grid-cols-2 gap-x-4 select-all">
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <p className="caption mb-3">
        Each is good once in place of a code of the app. Print them or write them down, and keep them away
        from the phone. Without them a lead gives you another way in.
      </p>
      <Button onClick={onTaken}>I have them</Button>
    </div>
  );
}
