import type { Setup, SetupView } from '../../../api/types';
import type { Changes } from '../../../edits/useChanges';
import { AnnouncementTable } from './AnnouncementTable';
import { ConditionTable } from './ConditionTable';
import { OverrideTable } from './OverrideTable';
import { TrimFields } from './TrimFields';

interface Props {
  setup: Setup;
  view: SetupView;
  changes: Changes;
}

/** The logic inside the transmitter: conditions, what they force and announce, and the trims. */
export function LogicPart(props: Props) {
  return (
    <div className="flex flex-col gap-6">
      <ConditionTable {...props} />
      <OverrideTable setup={props.setup} changes={props.changes} />
      <AnnouncementTable {...props} />
      <TrimFields {...props} />
    </div>
  );
}
