import { useEffect } from 'react';
import { useAwaySince } from '../api/server';
import { clockTime } from '../ui/figures';

/** Says that the server is away, and since when; what is live on the page is grey meanwhile. */
export function ServerAway() {
  const since = useAwaySince();
  const away = since !== null;
  useEffect(() => {
    document.documentElement.toggleAttribute('data-away', away);
  }, [away]);
  return (
    // It is there before it says something, so that it is read out.
    <div role="status" className={away ? 'bg-ochre-wash px-5 py-1 text-[0.93rem] text-ochre max-sm:px-3' : 'sr-only'}>
      {since && (
        <>
          <b>The server is away since {clockTime(since)}.</b> What is grey is as it was then. Nothing that is moved or
          changed gets there, now or later. The page goes on by itself when the server is back.
        </>
      )}
    </div>
  );
}
