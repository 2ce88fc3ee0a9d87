import clsx from 'clsx';
import type { AlarmView } from '../../../api/types';
import { useBenchState } from '../../../bench/BenchProvider';
import { figure } from '../../../ui/figures';

/** What became of the last test of an alarm on the bench. */
export function BenchTest({ alarm }: { alarm: AlarmView }) {
  const test = useBenchState(({ message }) => (message?.test?.alarm === alarm.id ? message.test : null));
  if (!test) return null;
  const at = (value: number) => `${figure(value, 2)} ${alarm.unit}`;
  const heard = test.after !== null && `Heard: “${test.words}”, ${figure(test.after / 1000, 1)} s later.`;
  const says = {
    raised: `The limit stands at ${at(test.level)} for the moment. Listening…`,
    heard: `${heard} The limit is back at ${at(alarm.level)}; now it must fall silent.`,
    done: `${heard} Silent again with the limit back at ${at(alarm.level)}.`,
    unheard: `Not heard with the limit at ${at(test.level)}. ${test.words} The limit is back at ${at(alarm.level)}.`,
    'goes-on': `${heard} It goes on with the limit back at ${at(alarm.level)}.`,
    'broken-off': 'The setup was changed meanwhile; the limit stands where the setup has it.',
  }[test.state];
  const bad = test.state === 'unheard' || test.state === 'goes-on';
  return (
    <p
      role="status"
      className={clsx(
        'mt-2 max-w-[80ch] rounded border p-2.5',
        test.state === 'done' ? 'border-moss bg-moss-wash' : bad ? 'border-rust bg-rust-wash' : 'border-line bg-sheet',
      )}
    >
      {says} {test.state === 'done' && <b>Heard on the bench is not heard at your transmitter.</b>}
    </p>
  );
}
