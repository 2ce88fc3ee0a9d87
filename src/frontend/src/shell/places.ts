/** The parts of the pages, and what else pilots call what is there. */
export const PLACES: readonly { words: string; to: string; also: string[] }[] = [
  {
    words: 'Hands: controls and power-on check',
    to: 'hands',
    also: ['switches', 'sticks', 'startup warning', 'transmitter', 'radio', 'scale', 'limits'],
  },
  {
    words: 'Model: channels and their chains',
    to: 'model?part=channels',
    also: ['mix', 'mixer', 'endpoints', 'ends', 'subtrim', 'reverse', 'curve', 'expo', 'channel order', 'map'],
  },
  {
    words: 'Model: logic',
    to: 'model?part=logic',
    also: ['conditions', 'overrides', 'announcements', 'alarm', 'voice', 'trims'],
  },
  { words: 'Model: flight states', to: 'model?part=states', also: ['flight modes', 'modes', 'table'] },
  {
    words: 'Model: ready-made chains',
    to: 'model?part=ready-made',
    also: [
      'throttle cut',
      'lock',
      'two-stage arming',
      'battery alarm',
      'signal alarm',
      'flight timer',
      'template',
      'wizard',
    ],
  },
  {
    words: 'Air: the radio link',
    to: 'air?part=link',
    also: ['module', 'receiver', 'range', 'power', 'packet rate', 'band', 'failsafe', 'signal loss'],
  },
  {
    words: 'Air: what survives the link',
    to: 'air?part=channels',
    also: ['resolution', 'steps', 'signal quality', 'RSSI'],
  },
  { words: 'Air: bind the receiver', to: 'air?part=bind', also: ['pairing', 'pair', 'receiver number'] },
  {
    words: 'Wire: format and recordings',
    to: 'wire',
    also: ['protocol', 'serial', 'logic analyser', 'capture', 'latency'],
  },
  { words: 'Wire: ports of the board', to: 'wire?part=ports', also: ['port', 'UART', 'solder', 'inverted', 'pads'] },
  {
    words: 'Board: settings and functions',
    to: 'board?part=settings',
    also: ['arm', 'arming', 'guards', 'failsafe', 'signal loss', 'AUX', 'beeper', 'throttle low', 'deadband', 'rates'],
  },
  {
    words: 'Board: measure',
    to: 'board?part=measure',
    also: ['calibrate', 'wiggle', 'sweep', 'endpoints', 'jitter', 'centre'],
  },
  { words: 'Board: compare with the plan', to: 'board?part=compare', also: ['read back', 'check'] },
  {
    words: 'Board: symptoms',
    to: 'board?part=symptoms',
    also: ['problem', 'will not arm', 'help', 'fault', 'trouble'],
  },
  { words: 'Craft: what a stick makes it do', to: 'craft', also: ['motors', 'response'] },
  {
    words: 'Return: sensors and what comes back',
    to: 'return?part=sensors',
    also: ['telemetry', 'sensor', 'voltage', 'age', 'lowest', 'highest', 'RSSI'],
  },
  {
    words: 'Return: battery and the way home',
    to: 'return?part=battery',
    also: ['low battery', 'cells', 'capacity', 'lead', 'reserve', 'alarm level'],
  },
  {
    words: 'Return: alarms, heard and put back',
    to: 'return?part=alarms',
    also: ['alarm test', 'try the alarm', 'low battery', 'signal alarm', 'limit'],
  },
  {
    words: 'Return: what is said, the urgent first',
    to: 'return?part=voice',
    also: ['voice', 'speech', 'announcements', 'tones', 'queue', 'priority'],
  },
  {
    words: 'Return: timers',
    to: 'return?part=timers',
    also: ['flight time', 'stopwatch', 'countdown', 'reset', 'calls'],
  },
  {
    words: 'Return: goggles',
    to: 'return?part=goggles',
    also: ['OSD', 'display', 'picture', 'items', 'page'],
  },
  {
    words: 'Return: search for sensors',
    to: 'return?part=search',
    also: ['discover', 'telemetry missing', 'no telemetry', 'sensor lost'],
  },
  { words: 'Proof', to: 'proof', also: ['promises', 'safety', 'verify', 'model checker'] },
  { words: 'What remains', to: 'work', also: ['steps', 'checklist', 'to do', 'next', 'evidence', 'tick'] },
];
