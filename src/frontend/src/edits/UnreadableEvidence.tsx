import { useQuery } from '@tanstack/react-query';
import { Link } from 'react-router';
import { unreadableQuery } from '../api/queries';
import { Notice } from '../ui/Notice';

/** Tells that something was recorded of a setup that cannot be read now. Nothing when all can be. */
export function UnreadableEvidence({ setup }: { setup: string }) {
  const unreadable = useQuery(unreadableQuery);
  const lost = unreadable.data?.filter((d) => d.kind === 'evidence' && d.setup === setup).length ?? 0;
  return lost === 0 ? null : (
    <div className="mb-4">
      <Notice title={`${lost} ${lost === 1 ? 'record' : 'records'} of this craft cannot be read`}>
        <Link className="underline" to="/">
          The hangar says why, and gives the file.
        </Link>
      </Notice>
    </div>
  );
}
