import { Link } from 'react-router';
import type { Setup, SetupView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { AlarmRow } from './AlarmRow';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

const READY_MADE = [
  ['battery-alarm', 'Battery alarm'],
  ['signal-alarm', 'Signal alarm'],
  ['return-by-distance', 'Return by distance'],
] as const;

/** The alarms of a model, each to be heard: on the bench, and at the pilot's own transmitter. */
export function AlarmsPart({ id, setup, view, changes }: Props) {
  return (
    <>
      <p className="mb-1 max-w-[80ch] text-soft">
        An alarm that was never heard may be silent. Its limit is set above what is read, heard, and put back. On the
        bench that happens by itself; at your transmitter you put it back, and read it.
      </p>
      <ul>
        {view.alarms.map((alarm) => (
          <AlarmRow key={alarm.id} craft={id} alarm={alarm} setup={setup} view={view} changes={changes} />
        ))}
      </ul>
      {view.alarms.length === 0 && (
        <p className="py-2">This model has no alarm on voltage, signal quality or signal strength.</p>
      )}
      <ul aria-label="Ready made" className="mt-3 flex flex-wrap gap-x-6">
        {READY_MADE.map(([chain, title]) => (
          <li key={chain}>
            <Link
              className="target inline-flex items-center font-semibold underline"
              to={`../model?part=ready-made&chain=${chain}`}
              relative="path"
            >
              {title}, ready made
            </Link>
          </li>
        ))}
      </ul>
    </>
  );
}
