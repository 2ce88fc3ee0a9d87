import type { ControlView } from '../api/types';
import { useBench } from '../bench/BenchProvider';
import { SelectField } from '../ui/SelectField';

const WHATEVER_MOVES = '';

/** Chooses the control that is followed along the path: whatever moves, or one that stays. */
export function FollowPicker({ controls }: { controls: readonly ControlView[] }) {
  const { followed, pinned, pin } = useBench();
  const name = controls.find((c) => c.id === followed)?.name ?? followed;
  return (
    <SelectField
      quiet
      label="Follow"
      value={pinned ? followed : WHATEVER_MOVES}
      options={[
        { value: WHATEVER_MOVES, label: `Follow what moves: ${name}` },
        ...controls.map((c) => ({ value: c.id, label: `Follow ${c.name}` })),
      ]}
      onChange={(value) => pin(value === WHATEVER_MOVES ? null : value)}
    />
  );
}
