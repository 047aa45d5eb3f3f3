import { Header } from './Header';

/** When a screen fails: what was saved is safe, and how to go on. */
export function Failed() {
  return (
    <main>
      <Header title="This screen failed" />
      <p className="p-8 text-xl leading-snug" role="alert">
        Something in this screen went wrong. Every reading that was saved is safe.{' '}
        <a href="/floor" className="underline">
          Open the floor again
        </a>
      </p>
    </main>
  );
}
