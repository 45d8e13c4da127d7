/** Shown only when waiting takes long enough to be noticed. */
export function Loading() {
  return (
    <p role="status" className="p-6 text-small text-quiet opacity-0 [animation:appear_0s_400ms_forwards]">
      Fetching
    </p>
  );
}
