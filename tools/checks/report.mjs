/** What the two runners wrote → how many passed, which failed and why, where to look, and the slowest ten. */
import { existsSync, readFileSync } from 'node:fs';
import { relative } from 'node:path';
import { root } from '../lib/root.mjs';

// colours of a terminal
const plain = (text) => text.replace(/\u001b\[[0-9;]*m/g, '');
/** The first lines say what was expected; the rest is in the trace. */
const reasonOf = (text) =>
  plain(text ?? 'no reason was told')
    .split('\n')
    .filter((line) => line.trim() !== '')
    .slice(0, 12)
    .join('\n    ');
const read = (file) => (existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : null);
const nothing = (file) => ({ tests: [], broken: [{ name: relative(root, file), reason: 'was not written: the runner ended before its end', trace: null }] });

/** A test's file and name; several files that were bundled as one are told by the `describe` of their own path. */
const unitName = (path, fullName) => {
  const [workspace, bundle] = relative(root, path).split('/.units/');
  if (bundle === undefined) return `${workspace}: ${fullName}`;
  return bundle.startsWith('together-') ? `${workspace}/${fullName.replace(' ', ': ')}` : `${workspace}/${bundle}: ${fullName}`;
};
/** @returns every test with its length in ms, and what could not be run at all */
export function unitReport(file) {
  const report = read(file);
  if (report === null) return nothing(file);
  const tests = report.testResults.flatMap(({ name: path, assertionResults }) =>
    assertionResults.map(({ fullName, status, duration, failureMessages }) => ({
      name: unitName(path, fullName),
      passed: status === 'passed',
      milliseconds: duration ?? 0,
      reason: failureMessages[0],
      trace: relative(root, path),
    })),
  );
  const broken = report.testResults
    .filter(({ status, assertionResults }) => status === 'failed' && !assertionResults.some((each) => each.status === 'failed'))
    .map(({ name, message }) => ({ name: relative(root, name), reason: message, trace: null }));
  return { tests, broken };
}

const specsOf = (suite) => [...(suite.specs ?? []).map((spec) => ({ file: suite.file, spec })), ...(suite.suites ?? []).flatMap(specsOf)];
export function browserReport(file) {
  const report = read(file);
  if (report === null) return nothing(file);
  const tests = report.suites.flatMap(specsOf).flatMap(({ file: path, spec }) =>
    spec.tests.map(({ status, results }) => ({
      name: `${path}: ${spec.title}`,
      passed: status === 'expected',
      milliseconds: results.reduce((sum, { duration }) => sum + duration, 0),
      reason: results.at(-1)?.error?.message ?? `it was ${status}`,
      trace:
        results
          .at(-1)
          ?.attachments.map(({ path: at }) => at && relative(root, at))
          .find((at) => at) ?? null,
    })),
  );
  return { tests, broken: report.errors.map(({ message }) => ({ name: 'the browser', reason: message, trace: null })) };
}

export const failureText = ({ name, reason, trace }) => `FAILED  ${name}\n    ${reasonOf(reason)}${trace ? `\n    see ${trace}` : ''}`;
export const slowest = (tests, many = 10) =>
  [...tests]
    .sort((a, b) => b.milliseconds - a.milliseconds)
    .slice(0, many)
    .map(({ name, milliseconds }) => `${(milliseconds / 1000).toFixed(1).padStart(6)} s  ${name}`);
