import { useEffect } from 'react';
import { useLocation } from 'react-router';

/** Brings the part of the page that the address names into view, once the page is there. */
export function useScrollToHash(isThere: boolean): void {
  const { hash } = useLocation();
  useEffect(() => {
    if (isThere && hash !== '') document.getElementById(hash.slice(1))?.scrollIntoView();
  }, [isThere, hash]);
}
