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
      <p className="mt-3">
        <Link className="font-semibold underline" to="../model?part=ready-made&chain=battery-alarm" relative="path">
          Battery alarm, ready made
        </Link>
      </p>
    </>
  );
}
