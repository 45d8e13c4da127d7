/** Chooses a file of this device. */
export function FileField({ accept, onChoose }: { accept: string; onChoose: (file: File) => void }) {
  return (
    <label className="flex flex-col gap-1 text-small font-medium text-quiet">
      File
      <input
        type="file"
        accept={accept}
        className="text-body text-ink file:mr-3 file:h-9 file:rounded-edge file:border file:border-edge file:bg-raised file:px-3"
        onChange={({ target }) => {
          const [chosen] = target.files ?? [];
          if (chosen) onChoose(chosen);
        }}
      />
    </label>
  );
}
