import type { Setup, SetupView } from '../../api/types';
import type { Changes } from '../../edits/useChanges';
import { StationParts } from '../StationParts';
import { AlarmsPart } from './alarms/AlarmsPart';
import { BatteryPart } from './BatteryPart';
import { FlightsPart } from './flights/FlightsPart';
import { GogglesPart } from './goggles/GogglesPart';
import { SearchPart } from './SearchPart';
import { SensorsPart } from './SensorsPart';
import { TimersPart } from './timers/TimersPart';
import { VoicePart } from './voice/VoicePart';

interface Props {
  id: string;
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The way back: what comes to the transmitter and how old it is, the battery that must last, what warns of that, what is said when, alarms on recorded flights, what the goggles show, and what a search finds. */
export default function ReturnStation({ id, setup, view, changes }: Props) {
  const all = { setup, view, changes };
  return (
    <StationParts
      title="Return: what comes back"
      label="Parts of the way back"
      parts={[
        { part: 'sensors', name: 'Sensors', content: <SensorsPart id={id} {...all} /> },
        { part: 'battery', name: 'Battery', content: <BatteryPart {...all} /> },
        { part: 'alarms', name: 'Alarms', content: <AlarmsPart id={id} {...all} /> },
        { part: 'voice', name: 'Voice', content: <VoicePart {...all} /> },
        { part: 'timers', name: 'Timers', content: <TimersPart {...all} /> },
        { part: 'flights', name: 'Flights', content: <FlightsPart id={id} changes={changes} /> },
        { part: 'goggles', name: 'Goggles', content: <GogglesPart {...all} /> },
        { part: 'search', name: 'Search', content: <SearchPart id={id} {...all} /> },
      ]}
    />
  );
}
