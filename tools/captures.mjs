// Records the simulated receiver of each demo craft into artifacts/captures, one of them with a planted fault.
import { mkdir, writeFile } from 'node:fs/promises';
import { startApp } from './app.mjs';

const RECORDINGS = [
  { file: 'wren.vcd', craft: 'wren', query: 'fault=none&format=vcd' },
  { file: 'gannet-behind-an-inverter.vcd', craft: 'gannet', query: 'fault=flipped&format=vcd' },
  { file: 'sandpiper-loose-plug.csv', craft: 'sandpiper', query: 'fault=loose-wire&format=csv' },
];

const app = await startApp();
try {
  await mkdir('artifacts/captures', { recursive: true });
  for (const { file, craft, query } of RECORDINGS) {
    const recording = await fetch(`${app.address}/api/setups/${craft}/recording?${query}`);
    if (!recording.ok) throw new Error(`${craft}: ${recording.status} ${await recording.text()}`);
    await writeFile(`artifacts/captures/${file}`, await recording.text());
  }
} finally {
  await app.stop();
}
