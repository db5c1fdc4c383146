/** What a change touches: the workspaces whose files differ from the last commit, or the last commit's own where nothing differs. */
import { spawnSync } from 'node:child_process';
import { root } from '../lib/root.mjs';

const lines = (...args) => spawnSync('git', args, { cwd: root, encoding: 'utf8' }).stdout?.split('\n').filter(Boolean) ?? [];

/** @returns workspaces such as `packages/core` */
export function touchedWorkspaces() {
  const changed = [...lines('diff', '--name-only', 'HEAD'), ...lines('ls-files', '--others', '--exclude-standard')];
  const files = changed.length > 0 ? changed : lines('diff', '--name-only', 'HEAD~1', 'HEAD');
  return [...new Set(files.flatMap((file) => /^(?:packages|apps)\/[^/]+/.exec(file)?.[0] ?? []))];
}
