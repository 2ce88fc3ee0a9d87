import type { SetupView } from '../../api/types';

interface Props {
  wire: SetupView['wire'];
  /** How many channels get to the board. */
  carried: number;
}

/** The facts of a wire format. */
export function FormatCard({ wire, carried }: Props) {
  const figure = (value: number, digits = 3) =>
    value.toLocaleString('en-GB', { maximumFractionDigits: digits, useGrouping: false });
  const facts: [string, string][] = [
    ['Line', wire.line],
    ['Wires', wire.wires],
    [
      'Channels',
      wire.framesForAll > 1
        ? `${wire.channels} over ${wire.framesForAll} frames; ${carried} get to the board`
        : `${wire.channels}; ${carried} get to the board`,
    ],
    [
      'Fineness',
      `one count is ${figure(wire.step, 4)} µs, from ${figure(wire.zero + wire.smallestCount * wire.step, 1)} to ${figure(wire.zero + wire.largestCount * wire.step, 1)} µs`,
    ],
    [
      'On the wire',
      wire.frameBytes > 0
        ? `${wire.frameBytes} bytes in ${figure(wire.timeOnWire)} ms`
        : `up to ${figure(wire.timeOnWire)} ms`,
    ],
    ['Repeats', `every ${wire.usualPeriods.map((p) => figure(p)).join(' or ')} ms`],
    ['A loss shows by', wire.lossShownBy],
    ['These facts are', wire.provenance.founded],
  ];
  return (
    <dl className="mb-5 grid max-w-4xl gap-x-8 gap-y-1 sm:grid-cols-2">
      {facts.map(([name, value]) => (
        <div key={name} className="grid grid-cols-[7.5rem_1fr] gap-2 border-b border-hair py-1">
          <dt className="text-soft">{name}</dt>
          <dd className="font-semibold">{value}</dd>
        </div>
      ))}
    </dl>
  );
}
