import { Link } from 'react-router';
import { Brand } from './Brand';

/** For an address that leads nowhere. */
export function NotFound() {
  return (
    <main className="mx-auto flex max-w-3xl flex-col gap-4 p-6">
      <Brand />
      <h1 className="text-2xl font-bold">There is no such page</h1>
      <p>
        <Link className="font-semibold text-sea underline" to="/">
          To the hangar
        </Link>
      </p>
    </main>
  );
}
