// Reads lines of hexadecimal bytes and prints the CRC-8/DVB-S2 of each, by another library than ours.
import { Buffer } from 'node:buffer';
import { readFile } from 'node:fs/promises';
import process from 'node:process';
import { crc8dvbs2 } from 'crc';

const lines = (await readFile(process.argv[2], 'utf8')).split('\n').filter(Boolean);
process.stdout.write(lines.map((line) => crc8dvbs2(Buffer.from(line, 'hex')).toString(16)).join('\n'));
