import { useAddZeroCheckMutation } from '../api/kitApi';
import { useKitQuery } from '../api/kitApi';
import { Button } from '../ui/Button';
import { dayAndTimeOf } from '../ui/dates';

/** Whether the refractometer's zero was checked, and one tap to say that it shows nought on clean water. */
export function ZeroCheck() {
  const { data: kit } = useKitQuery();
  const [add, { isLoading }] = useAddZeroCheckMutation();
  const meter = kit?.instruments.find(({ kind }) => kind === 'refractometer');
  if (!meter) return null;
  const { isZeroDue, lastZero, name, id } = meter;
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 text-small">
      <span className={isZeroDue ? 'font-semibold text-alarm' : 'text-quiet'}>
        {isZeroDue
          ? `${name}: zero check due`
          : `${name}: zero checked ${lastZero ? dayAndTimeOf(lastZero.at) : ''}`}
      </span>
      <Button disabled={isLoading} onClick={() => void add({ instrumentId: id, shown: 0 })}>
        Zero check passed
      </Button>
    </div>
  );
}
