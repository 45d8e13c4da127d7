import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';
import { styleNonce } from '../device/styleNonce';
import { Field } from './Field';

interface PickOption {
  value: string;
  name: string;
  /** What tells it from others of like name; a line of its own. */
  detail?: string;
}

interface PickProps {
  label: string;
  value: string;
  options: readonly PickOption[];
  onChange: (value: string) => void;
  className?: string;
}

/** One of several things whose names may be long: each is read whole, in two lines where it has more to say. */
export function Pick({ label, value, options, onChange, className }: PickProps) {
  const chosen = options.find((option) => option.value === value);
  return (
    <Field label={label} {...(className === undefined ? {} : { className })}>
      {(control) => (
        <Select.Root value={value} onValueChange={onChange}>
          <Select.Trigger
            {...control}
            className="flex min-h-9 w-full items-center gap-2 rounded-edge border border-edge bg-raised px-2 py-1 text-left text-body leading-tight text-ink"
          >
            <span className="grow">
              <Select.Value>{chosen?.name ?? ''}</Select.Value>
            </span>
            <Select.Icon>
              <ChevronDown aria-hidden size={16} />
            </Select.Icon>
          </Select.Trigger>
          <Select.Portal>
            <Select.Content
              position="popper"
              sideOffset={2}
              collisionPadding={12}
              className="z-60 max-h-[min(24rem,var(--radix-select-content-available-height))] max-w-[min(28rem,calc(100vw-1.5rem))] min-w-(--radix-select-trigger-width) overflow-hidden border border-ink bg-raised"
            >
              <Select.Viewport nonce={styleNonce()}>
                {options.map(({ value: each, name, detail }) => (
                  <Select.Item
                    key={each}
                    value={each}
                    className="flex min-h-9 cursor-pointer items-center gap-3 border-b border-rule px-2 py-1.5 text-body leading-tight outline-none last:border-b-0 data-[highlighted]:bg-wash data-[state=checked]:font-semibold"
                  >
                    <span className="grow">
                      <Select.ItemText>{name}</Select.ItemText>
                      {detail !== undefined && (
                        <span className="block text-tiny font-normal text-quiet">{detail}</span>
                      )}
                    </span>
                    <Select.ItemIndicator>
                      <Check aria-hidden size={16} />
                    </Select.ItemIndicator>
                  </Select.Item>
                ))}
              </Select.Viewport>
            </Select.Content>
          </Select.Portal>
        </Select.Root>
      )}
    </Field>
  );
}
