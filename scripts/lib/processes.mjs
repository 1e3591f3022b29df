import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { readFileSync } from 'node:fs';
import net from 'node:net';
import { Refusal, say } from './say.mjs';

/** Whether a process lives. */
export function alive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}

/** Runs a command to its end; its output is kept and only shown when it fails. */
export async function run(command, args, { env = {}, show = false, cwd } = {}) {
  const child = spawn(command, args, {
    cwd,
    env: { ...process.env, ...env },
    stdio: show ? 'inherit' : ['ignore', 'pipe', 'pipe'],
  });
  running.add(child);
  let output = '';
  child.stdout?.on('data', (data) => (output += data));
  child.stderr?.on('data', (data) => (output += data));
  const [code, signal] = await new Promise((resolve, reject) => {
    child.once('error', reject);
    child.once('close', (...ended) => resolve(ended));
  }).finally(() => running.delete(child));
  return { code: code ?? (signal ? 1 : 0), output };
}

/** The same, but a failure ends the whole command with what was printed. */
export async function mustRun(command, args, options) {
  const { code, output } = await run(command, args, options);
  if (code !== 0)
    throw new Refusal(
      `${output.trim().split('\n').slice(-30).join('\n')}\n${[command, ...args].join(' ').slice(0, 120)} failed (exit ${code}).`,
    );
  return output;
}

/** Children that must not outlive the command. */
const running = new Set();
const closers = [];

/** Starts a lasting child. */
export function start(command, args, { env = {}, cwd, onOutput = () => {} } = {}) {
  const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
  running.add(child);
  child.stdout.on('data', (data) => onOutput(String(data)));
  child.stderr.on('data', (data) => onOutput(String(data)));
  child.once('exit', () => running.delete(child));
  return child;
}

/** Ends a child: politely, then not. */
export async function end(child, patience = 8000) {
  if (child.exitCode !== null || child.signalCode !== null) return;
  const gone = once(child, 'exit');
  child.kill('SIGTERM');
  const timer = setTimeout(() => child.kill('SIGKILL'), patience);
  await gone;
  clearTimeout(timer);
}

/** Something to close when the command ends, however it ends; the last one first. */
export const atEnd = (close) => closers.push(close);

/** Closes everything. */
export async function closeAll() {
  for (let close = closers.pop(); close; close = closers.pop()) await close();
  for (const child of running) await end(child);
}

/** What a write meets when nobody reads any more: the pipe or the terminal is gone. */
const NOBODY = ['EPIPE', 'EIO', 'ERR_STREAM_DESTROYED'];

/**
 * Ctrl-C, SIGTERM, a closed terminal, a reader that has gone (as `npm start | head` leaves it), and the end of the npm
 * that started this: all of them close everything and leave nothing behind.
 */
export function closeOnSignals() {
  let ending = false;
  const stop = async (code) => {
    if (ending) return;
    ending = true;
    say('\nstopping … ');
    await closeAll();
    say('stopped\n');
    process.exit(code);
  };
  process.on('SIGINT', () => stop(130));
  for (const signal of ['SIGTERM', 'SIGHUP']) process.on(signal, () => stop(143));
  for (const out of [process.stdout, process.stderr])
    out.on('error', (error) => {
      if (!NOBODY.includes(error.code)) throw error;
      void stop(141);
    });
  const parent = process.ppid;
  if (process.env.npm_lifecycle_event) setInterval(() => process.ppid !== parent && stop(143), 1000).unref();
}

/** Whether a process id still is the program that we think; ids are used again. */
const isProgram = (pid, name) => {
  try {
    return alive(pid) && readFileSync(`/proc/${pid}/cmdline`, 'utf8').includes(name);
  } catch {
    return false;
  }
};

/**
 * Ends a child that a killed command left behind, by the ids it wrote down.
 * @returns whether there was one; throws the refusal when the command that owns it still lives
 */
export async function endLeftBehind({ owner, pid, name }, inUse) {
  if (!pid || !isProgram(pid, name)) return false;
  if (owner && owner !== process.pid && alive(owner)) throw new Refusal(inUse(owner));
  process.kill(pid, 'SIGTERM');
  await until(
    () => !alive(pid),
    20,
    () => `${name} (process ${pid}), which an earlier run left behind, does not stop. End it with: kill -9 ${pid}`,
  );
  return true;
}

/** A port that is free on loopback now. */
export async function freePort() {
  const server = net.createServer().listen(0, '127.0.0.1');
  await once(server, 'listening');
  const { port } = server.address();
  server.close();
  await once(server, 'close');
  return port;
}

/** Whether something listens on a port of loopback. */
export const listens = (port) =>
  new Promise((resolve) => {
    const socket = net.connect(port, '127.0.0.1');
    socket.once('connect', () => (socket.destroy(), resolve(true)));
    socket.once('error', () => resolve(false));
  });

/** Waits for the first words of a server on loopback that speaks first, as a database does; a refusal is an answer. */
export const greets = (port) =>
  new Promise((resolve) => {
    const socket = net.connect(port, '127.0.0.1');
    socket.once('data', () => (socket.destroy(), resolve(true)));
    socket.once('error', () => resolve(false));
    socket.setTimeout(12_000, () => socket.destroy());
  });

/** So long a server of ours may take to start on a machine that is busy, s; what has not come then never will. */
export const PATIENCE = 120;

/** Waits until a check holds; looks ten times a second. */
export async function until(check, seconds, otherwise) {
  const limit = Date.now() + seconds * 1000;
  while (!(await check())) {
    if (Date.now() > limit) throw new Refusal(otherwise());
    await new Promise((resolve) => setTimeout(resolve, 100));
  }
}
