import { Dialog } from 'radix-ui';
import { useState, type ReactNode } from 'react';
import { Button } from '../ui/Button';

/** Opens a form over the page; the form closes it when it is stored or left. */
export function EditButton({
  words,
  title,
  children,
}: {
  words: string;
  title: string;
  children: (leave: () => void) => ReactNode;
}) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Dialog.Root open={isOpen} onOpenChange={setOpen}>
      <Dialog.Trigger asChild>
        <Button aria-label={title}>{words}</Button>
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-40 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-8 top-8 z-50 mx-auto max-h-[calc(100dvh-4rem)] max-w-3xl overflow-y-auto border border-ink bg-sheet p-6"
        >
          <Dialog.Title className="mb-4 text-large font-bold">{title}</Dialog.Title>
          {children(() => setOpen(false))}
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
