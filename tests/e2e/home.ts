import { spawn, type ChildProcess } from 'node:child_process';
import { answers } from '../../scripts/processes';

/** ./crumb start as a user runs it, with a home of its own. */
export async function startHome(
  home: string,
  port: number,
  words: 'inherit' | 'pipe' = 'inherit',
  more: Readonly<Record<string, string>> = {},
): Promise<ChildProcess> {
  const env = { ...process.env };
  delete env.DATABASE_URL;
  const child = spawn('./crumb', ['start'], {
    env: { ...env, ...more, CRUMB_HOME: home, PORT: String(port) },
    stdio: ['ignore', 'ignore', words],
  });
  await answers(`http://127.0.0.1:${port}/api/health`);
  return child;
}
