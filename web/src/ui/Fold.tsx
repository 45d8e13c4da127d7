import { useState, type ReactNode } from 'react';

interface FoldProps {
  /** What stands in the line that opens it. */
  summary: ReactNode;
  isOpenAtFirst?: boolean;
  /** Something in it is wrong: it opens, and stays open when that is mended, since somebody is at work in it. */
  isWrong?: boolean;
  children: ReactNode;
}

/** What most do not need, folded away until somebody wants it or something in it is wrong. */
export function Fold({ summary, isOpenAtFirst = false, isWrong = false, children }: FoldProps) {
  const [isOpen, setIsOpen] = useState(isOpenAtFirst || isWrong);
  const [wasWrong, setWasWrong] = useState(isWrong);
  if (isWrong !== wasWrong) {
    setWasWrong(isWrong);
    if (isWrong) setIsOpen(true);
  }
  return (
    <details open={isOpen} onToggle={({ currentTarget }) => setIsOpen(currentTarget.open)}>
      <summary className="text-small">{summary}</summary>
      {children}
    </details>
  );
}
