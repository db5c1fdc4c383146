export function NotFound() {
  return (
    <main className="p-8">
      <h1 className="text-2xl">Nothing here</h1>
      <p className="mt-2">
        This address leads nowhere.{' '}
        <a className="underline" href="/">
          To the desk
        </a>
      </p>
    </main>
  );
}
