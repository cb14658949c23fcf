export const MENU_ITEM =
  'flex min-h-11 cursor-pointer items-center rounded px-3 outline-none data-[highlighted]:bg-accent-soft data-[disabled]:opacity-45';
export const MENU = 'z-30 min-w-64 rounded-md border border-line bg-panel p-1.5 shadow-lg';

/** On a phone in one word: the lure's own name needs the room. */
export function MyLures() {
  return (
    <>
      <span className="whitespace-nowrap max-sm:hidden">My lures</span>
      <span className="sm:hidden">Lures</span>
    </>
  );
}
