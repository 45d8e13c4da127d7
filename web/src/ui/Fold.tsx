import { useState, type ReactNode } from 'react';

interface FoldProps {
  /** What stands in the line that opens it. */
  summary: ReactNode;
  /** It is a heading of the page, not a line in it. */
  isHeading?: boolean;
  isOpenAtFirst?: boolean;
  /** Something in it is wrong: it opens, and stays open when that is mended, since somebody is at work in it. */
  isWrong?: boolean;
  children: ReactNode;
}

/** What most do not need, folded away until somebody wants it or something in it is wrong. */
export function Fold({
  summary,
  isHeading = false,
  isOpenAtFirst = false,
  isWrong = false,
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
      {children}
    </details>
  );
}
