import { spawn } from 'node:child_process';
import { availableParallelism } from 'node:os';
import { root } from './setup.mjs';

/**
 * One thing that a run of the tests does.
 *
 * @typedef {object} Step
 * @property {string} name
 * @property {readonly string[]} [after] steps that must have gone well before
 * @property {boolean} [alone] whether it takes all processors by itself, and nothing else runs meanwhile
 * @property {(output: Output) => Promise<Counts | void>} run throws, or rejects, when it fails
 *
 * @typedef {{ passed: number, failed: number }} Counts
 * @typedef {{ write: (text: string | Uint8Array) => void }} Output
 */

/** What a command printed before it failed is shown; the exit code says no more. */
export class StepFailed extends Error {
  constructor(message, counts = { passed: 0, failed: 1 }) {
    super(message);
    this.counts = counts;
  }
}

/**
 * Runs steps side by side, as many as there are processors, and prints each one's output when it ends, then how long
 * each took and how many tests and checks passed and failed.
 *
 * @param {readonly Step[]} steps in the order in which they are begun where they can be
 * @returns {Promise<boolean>} whether all went well
 */
export async function runSteps(steps) {
  const room = Math.max(2, availableParallelism());
  const waiting = [...steps];
  const running = new Map();
  const results = new Map();
  const beganMs = performance.now();
  const isReady = ({ after = [] }) => after.every((name) => results.get(name)?.ok);
  const cannotRun = ({ after = [] }) => after.some((name) => results.has(name) && !results.get(name).ok);

  const begin = (step) => {
    waiting.splice(waiting.indexOf(step), 1);
    const stepBeganMs = performance.now();
    const held = [];
    // A step that runs alone is watched while it goes on; the others speak one after the other.
    const output = step.alone
      ? process.stdout
      : { write: (text) => held.push(Buffer.isBuffer(text) ? text : Buffer.from(text)) };
    if (step.alone) console.log(`\n── ${step.name}`);
    const done = Promise.resolve()
      .then(() => step.run(output))
      .then(
        (counts) => ({ ok: true, counts: counts ?? { passed: 0, failed: 0 } }),
        (error) => ({ ok: false, counts: error.counts ?? { passed: 0, failed: 1 }, problem: error }),
      )
      .then((result) => {
        const seconds = (performance.now() - stepBeganMs) / 1000;
        results.set(step.name, { ...result, seconds });
        running.delete(step);
        if (!step.alone) console.log(`\n── ${step.name}: ${seconds.toFixed(0)} s`);
        if (held.length > 0) process.stdout.write(Buffer.concat(held));
        if (!result.ok) console.log(`${step.name} failed: ${result.problem.message}`);
      });
    running.set(step, done);
  };

  while (waiting.length > 0 || running.size > 0) {
    for (const step of waiting.filter(cannotRun)) {
      waiting.splice(waiting.indexOf(step), 1);
      results.set(step.name, { ok: false, counts: { passed: 0, failed: 1 }, seconds: null });
    }
    const isAlone = [...running.keys()].some(({ alone }) => alone);
    const next = waiting.find(
      (step) => isReady(step) && !isAlone && (step.alone ? running.size === 0 : running.size < room),
    );
    if (next) begin(next);
    else if (running.size > 0) await Promise.race(running.values());
    else if (waiting.length > 0 && !waiting.some(cannotRun)) throw new Error('Steps wait for each other');
  }
  return report(steps, results, (performance.now() - beganMs) / 1000);
}

function report(steps, results, seconds) {
  const width = Math.max(...steps.map(({ name }) => name.length)) + 2;
  console.log(`\n${'Step'.padEnd(width)}Seconds`);
  for (const { name } of steps) {
    const { ok, seconds: took } = results.get(name);
    const says = took === null ? 'not run' : took.toFixed(1);
    console.log(`${name.padEnd(width)}${says.padStart(7)}${ok ? '' : '   failed'}`);
  }
  console.log(`${'In all'.padEnd(width)}${seconds.toFixed(1).padStart(7)}\n`);
  const counts = [...results.values()].map((result) => result.counts);
  const sum = (key) => counts.reduce((total, each) => total + each[key], 0);
  console.log(`${sum('passed')} passed, ${sum('failed')} failed`);
  return [...results.values()].every(({ ok }) => ok);
}

/** Runs a command in the project's folder. @throws StepFailed when it does not end well. */
export function command(output, name, args, env = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(name, args, { cwd: root, env: { ...process.env, ...env } });
    child.stdout.on('data', (chunk) => output.write(chunk));
    child.stderr.on('data', (chunk) => output.write(chunk));
    child.on('error', reject);
    child.on('close', (code, signal) =>
      code === 0 ? resolve() : reject(new StepFailed(`${name} ${args.join(' ')} ended with ${signal ?? code}`)),
    );
  });
}

/** A package's program, as installed here. */
export const program = (output, name, args = [], env = {}) =>
  command(output, 'npx', ['--no-install', name, ...args], env);

/** A step that is one check: passed or failed. */
export const check = async (work) => {
  await work;
  return { passed: 1, failed: 0 };
};
