import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

/** A figure that can be opened to see where it came from. */
export function Explain({
  label,
  trigger,
  children,
}: {
  label: string;
  trigger: ReactNode;
  children: ReactNode;
}) {
  return (
    <Popover.Root>
      <Popover.Trigger
        aria-label={label}
        className="rounded-edge text-tiny text-quiet underline decoration-dotted underline-offset-3 hover:text-ink"
      >
        {trigger}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={label}
          className="z-50 w-96 border border-ink bg-raised p-4 text-small text-ink"
        >
          {children}
          <Popover.Arrow className="fill-ink" />
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
