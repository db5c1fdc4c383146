/** One check as a process of its own; what it prints is kept. */
import { spawn } from 'node:child_process';
import { root } from '../lib/root.mjs';
import { say } from '../lib/say.mjs';

/** @returns whether it passed, s it took, and what it printed */
export function runCheck(name, command, args, env = {}) {
  const began = Date.now();
  return new Promise((resolve) => {
    const child = spawn(command, args, { cwd: root, env: { ...process.env, ...env } });
    let output = '';
    for (const stream of [child.stdout, child.stderr]) stream.on('data', (data) => (output += data));
    child.once('close', (code) => {
      const seconds = (Date.now() - began) / 1000;
      say(`${code === 0 ? 'passed' : 'FAILED'}  ${name}, ${seconds.toFixed(1)} s`);
      resolve({ name, passed: code === 0, seconds, output });
    });
  });
}
