import { useState, type ReactNode } from 'react';

interface FoldProps {
  /** What stands in the line that opens it. */
  summary: ReactNode;
  /** It is a heading of the page, not a line in it. */
  isHeading?: boolean;
  isOpenAtFirst?: boolean;
  /** Something in it is wrong: it opens, and stays open when that is mended, since somebody is at work in it. */
  isWrong?: boolean;
  /** There is nothing in it until it is opened: what it shows is read then. */
  isReadLate?: boolean;
  children: ReactNode;
}

/** What most do not need, folded away until somebody wants it or something in it is wrong. */
export function Fold({
  summary,
  isHeading = false,
  isOpenAtFirst = false,
  isWrong = false,
  isReadLate = false,
  children,
}: FoldProps) {
  const [isOpen, setIsOpen] = useState(isOpenAtFirst || isWrong);
  const [wasWrong, setWasWrong] = useState(isWrong);
  if (isWrong !== wasWrong) {
    setWasWrong(isWrong);
    if (isWrong) setIsOpen(true);
  }
  return (
    <details open={isOpen} onToggle={({ currentTarget }) => setIsOpen(currentTarget.open)}>
      <summary className={isHeading ? 'heading' : 'text-small'}>{summary}</summary>
      {(isOpen || !isReadLate) && children}
    </details>
  );
}
