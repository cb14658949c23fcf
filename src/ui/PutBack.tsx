import { Button } from './Button';

/** What was taken away, and the way back. */
export function PutBack({ words, onPutBack }: { readonly words: string; readonly onPutBack: () => void }) {
  return (
    <div
      role="status"
      className="flex items-center justify-between gap-3 rounded-md bg-accent-soft px-2.5 py-1.5 text-sm"
    >
      <p>{words}</p>
      <Button className="shrink-0" onClick={onPutBack}>
        Put it back
      </Button>
    </div>
  );
}
