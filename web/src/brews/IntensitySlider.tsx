import { Slider } from 'radix-ui';
import { classes } from '../ui/classes';

interface IntensitySliderProps {
  label: string;
  /** 0 to 10; `null` while the taster has not said. */
  value: number | null;
  onChange: (value: number | null) => void;
}

/** How strong an impression is, 0 to 10: by digits and arrows, or by a finger. */
export function IntensitySlider({ label, value, onChange }: IntensitySliderProps) {
  return (
    <div className="grid grid-cols-[5.5rem_1fr_2.5rem] items-center gap-2 text-small">
      <span className="text-quiet">{label}</span>
      <Slider.Root
        min={0}
        max={10}
        step={1}
        value={[value ?? 0]}
        onValueChange={([next]) => onChange(next ?? null)}
        className="relative flex h-8 touch-none items-center lg:h-7"
      >
        <Slider.Track className="relative h-px grow bg-edge">
          <Slider.Range className={classes('absolute -top-px h-[3px]', value === null ? '' : 'bg-ink')} />
        </Slider.Track>
        <Slider.Thumb
          onKeyDown={(event) => {
            if (!/^\d$/.test(event.key) || event.ctrlKey || event.metaKey || event.altKey) return;
            event.preventDefault();
            onChange(event.key === '0' ? null : Number(event.key));
          }}
          aria-label={label}
          aria-valuetext={value === null ? 'not set' : `${value} of 10`}
          className={classes(
            'block h-4 w-2 rounded-edge border-2',
            value === null ? 'border-edge bg-raised' : 'border-ink bg-ink',
          )}
        />
      </Slider.Root>
      <button
        type="button"
        aria-label={`Clear ${label.toLowerCase()}`}
        title={value === null ? undefined : 'Clear'}
        disabled={value === null}
        onClick={() => onChange(null)}
        className="reading h-8 text-right lg:h-7 text-body font-medium disabled:text-quiet"
      >
        {value ?? '–'}
      </button>
    </div>
  );
}
