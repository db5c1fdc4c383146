/** @param desk whose way leads back to the desk: an athlete has none */
export function NotFound({ desk = true }: { desk?: boolean }) {
  return (
    <main className="p-8">
      <h1 className="text-2xl">Nothing here</h1>
      <p className="mt-2">
        This address leads nowhere.{' '}
        {desk ? (
          <a className="underline" href="/">
            To the desk
          </a>
        ) : (
          'Open the link that your coach sent you.'
        )}
      </p>
    </main>
  );
}
