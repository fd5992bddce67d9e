import { spawn, spawnSync } from 'node:child_process';
import { noteStarted } from './hold.mjs';
import { Sentence } from './say.mjs';

/** Runs a command to its end with its output on the terminal; a failure becomes a sentence. */
export function run(command, args, { sentence, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const child = spawn(command, args, { stdio: 'inherit', ...options });
    noteStarted(child.pid);
    child.on('error', (error) =>
      reject(new Sentence(sentence ?? `${command} could not be started: ${error.message}.`)),
    );
    child.on('exit', (code, signal) =>
      code === 0
        ? resolve()
        : reject(
            new Sentence(
              sentence ?? `${command} ${args.slice(0, 3).join(' ')} failed (${signal ?? `exit ${code}`}).`,
            ),
          ),
    );
  });
}

/** Runs a command quietly and gives what it printed. */
export function ask(command, args, options = {}) {
  const result = spawnSync(command, args, { encoding: 'utf8', ...options });
  return { ok: result.status === 0, text: `${result.stdout ?? ''}${result.stderr ?? ''}`.trim() };
}

/** Starts a server in a process group of its own, so that ending it ends what it started. */
export function startGroup(command, args, options = {}) {
  const child = spawn(command, args, { stdio: 'inherit', detached: true, ...options });
  noteStarted(child.pid);
  const ended = new Promise((resolve) => child.on('exit', (code) => resolve(code ?? 0)));
  return {
    ended,
    async stop() {
      try {
        process.kill(-child.pid, 'SIGTERM');
      } catch {
        return;
      }
      const late = setTimeout(() => {
        try {
          process.kill(-child.pid, 'SIGKILL');
        } catch {
          // gone in the meantime
        }
      }, 5000);
      await ended;
      clearTimeout(late);
    },
  };
}
