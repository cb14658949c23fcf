/** An address that nothing stands at. */
export default function NotFound() {
  return (
    <main className="mx-auto flex max-w-xl flex-col items-start gap-3 p-6">
      <h1 className="text-2xl font-bold">Nothing stands here</h1>
      <p>This address is none of Mazurka’s. What you made is where it was.</p>
      <a className="inline-flex min-h-11 items-center rounded-md border border-line bg-panel px-4" href="/bench">
        To the bench
      </a>
    </main>
  );
}
