import { useCombobox } from 'downshift';
import { ChevronDown } from 'lucide-react';
import { useEffect, useState } from 'react';
import type { LotListItem } from '@vendu/contract';
import { useLotsQuery } from '../api/lotsApi';
import { classes } from '../ui/classes';
import { INPUT } from '../ui/Field';
import { STAGE_WORDS } from '../ui/words';

/** More are not read through: a longer name is typed instead. */
const MOST_SHOWN = 8;
/** The server is asked when the fingers rest, ms. */
const REST_MS = 200;

/** One of all lots, found by what is typed of its name; the lots that press most stand there before. */
export function LotPick({
  label,
  chosen,
  onChange,
}: {
  label: string;
  /** Its name as far as it is known. */
  chosen: { id: number; name: string } | undefined;
  onChange: (lot: LotListItem) => void;
}) {
  const name = chosen?.name ?? '';
  const [typed, setTyped] = useState<string | null>(null);
  const search = useRested(typed ?? '');
  const { data, isFetching } = useLotsQuery({ search });
  const shown = data?.lots.slice(0, MOST_SHOWN) ?? [];
  const { isOpen, highlightedIndex, getLabelProps, getInputProps, getMenuProps, getItemProps } =
    useCombobox<LotListItem>({
      items: shown,
      inputValue: typed ?? name,
      selectedItem: null,
      itemToString: (lot) => lot?.name ?? '',
      onSelectedItemChange: ({ selectedItem: lot }) => {
        setTyped(null);
        if (lot && lot.id !== chosen?.id) onChange(lot);
      },
    });
  const more = (data?.total ?? 0) - shown.length;
  return (
    <div className="relative flex flex-col gap-1">
      <label {...getLabelProps()} className="text-small font-medium text-quiet">
        {label}
      </label>
      <input
        {...getInputProps({
          onFocus: ({ currentTarget }) => currentTarget.select(),
          onChange: ({ currentTarget }) => setTyped(currentTarget.value),
          // What was typed and not chosen is no choice.
          onBlur: () => setTyped(null),
        })}
        className={classes(INPUT, 'pr-8')}
        title={name}
      />
      <ChevronDown aria-hidden size={16} className="pointer-events-none absolute right-2 bottom-2.5" />
      <div
        className={classes(
          'absolute inset-x-0 top-full z-30 border border-ink bg-raised',
          isOpen ? '' : 'hidden',
        )}
      >
        <ul {...getMenuProps()}>
          {isOpen &&
            shown.map((lot, index) => (
              <li
                key={lot.id}
                {...getItemProps({ item: lot, index })}
                className={classes(
                  'flex min-h-9 cursor-pointer items-center justify-between gap-3 border-b border-rule px-2 py-1 leading-tight last:border-b-0',
                  index === highlightedIndex ? 'bg-ink text-sheet' : '',
                )}
              >
                {lot.name}
                <span className="text-tiny whitespace-nowrap opacity-80">{STAGE_WORDS[lot.stage]}</span>
              </li>
            ))}
        </ul>
        {(more > 0 || shown.length === 0) && (
          <p role="status" className="border-t border-rule px-2 py-1.5 text-small text-quiet">
            {more > 0 ? `${more} more: type a part of the name.` : isFetching ? 'Looking.' : 'No lot fits.'}
          </p>
        )}
      </div>
    </div>
  );
}

/** A text once nobody has changed it for a moment. */
function useRested(text: string): string {
  const [rested, setRested] = useState(text);
  useEffect(() => {
    const timer = setTimeout(() => setRested(text), REST_MS);
    return () => clearTimeout(timer);
  }, [text]);
  return rested;
}
