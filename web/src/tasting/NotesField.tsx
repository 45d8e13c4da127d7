import { useCombobox } from 'downshift';
import { X } from 'lucide-react';
import { useState } from 'react';
import { SHEET } from '@vendu/core';
import { useHouseWordsQuery } from '../api/tastersApi';
import { classes } from '../ui/classes';
import { INPUT } from '../ui/Field';
import { suggestionsFor, wordsOf, type Suggestion } from './suggestions';

interface NotesFieldProps {
  /** Words parted by commas. */
  value: string;
  onChange: (notes: string) => void;
  /** Enter on an empty field: there is nothing more to say. */
  onLeave: () => void;
  hold: (input: HTMLInputElement | null) => void;
}

/** What it tastes of, word by word, completed from the lexicon and the words of the house; any other word does too. */
export function NotesField({ value, onChange, onLeave, hold }: NotesFieldProps) {
  const { data: houseWords = [] } = useHouseWordsQuery();
  const [typed, setTyped] = useState('');
  const words = wordsOf(value);
  const offered = suggestionsFor(typed, { houseWords, taken: words });
  function add(text: string) {
    const fresh = wordsOf(text).filter((word) => !words.includes(word));
    const notes = [...words, ...fresh].join(', ');
    if (fresh.length > 0 && notes.length <= SHEET.longestNotes) onChange(notes);
    setTyped('');
  }
  const { isOpen, highlightedIndex, getLabelProps, getInputProps, getMenuProps, getItemProps } =
    useCombobox<Suggestion>({
      items: offered,
      inputValue: typed,
      selectedItem: null,
      itemToString: (item) => item?.word ?? '',
      onSelectedItemChange: ({ selectedItem }) => {
        if (selectedItem) add(selectedItem.word);
      },
    });
  const isShown = isOpen && offered.length > 0;
  return (
    <div>
      <label {...getLabelProps()} className="mb-1 block text-small font-medium text-quiet">
        What it tastes of
      </label>
      {words.length > 0 && (
        <ul aria-label="Notes" className="mb-1.5 flex flex-wrap gap-1.5">
          {words.map((word) => (
            <li
              key={word}
              className="flex items-center rounded-edge border border-edge bg-raised pl-2 text-body"
            >
              {word}
              <button
                type="button"
                aria-label={`Remove ${word}`}
                onClick={() => onChange(words.filter((each) => each !== word).join(', '))}
                className="flex h-8 w-8 items-center justify-center text-quiet hover:text-ink"
              >
                <X aria-hidden size={14} />
              </button>
            </li>
          ))}
        </ul>
      )}
      <div className="relative">
        <input
          {...getInputProps({
            ref: hold,
            maxLength: 80,
            placeholder: words.length === 0 ? 'a word, then Enter' : '',
            onChange: (event) => {
              const { value: text } = event.currentTarget;
              if (text.includes(',')) add(text);
              else setTyped(text);
            },
            onBlur: () => add(typed),
            onKeyDown: (event) => {
              if (event.key === 'Enter' && !event.ctrlKey && !event.metaKey && highlightedIndex < 0) {
                event.preventDefault();
                if (typed.trim() === '') onLeave();
                else add(typed);
              } else if (event.key === 'Backspace' && typed === '') {
                onChange(words.slice(0, -1).join(', '));
              }
            },
          })}
          className={INPUT}
        />
        <ul
          {...getMenuProps()}
          className={classes(
            'absolute inset-x-0 top-full z-30 border border-ink bg-raised',
            isShown ? '' : 'hidden',
          )}
        >
          {isShown &&
            offered.map((item, index) => (
              <li
                key={item.word}
                {...getItemProps({ item, index })}
                className={classes(
                  'flex min-h-9 cursor-pointer items-center justify-between px-2',
                  index === highlightedIndex ? 'bg-ink text-sheet' : '',
                )}
              >
                {item.word}
                <span className="text-tiny opacity-80">{item.family ?? 'of the house'}</span>
              </li>
            ))}
        </ul>
      </div>
    </div>
  );
}
