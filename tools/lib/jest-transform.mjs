/**
 * Jest's transform: swc, and the globals that a computation asks for a million times made names of the module.
 * In Jest's sandbox each look at a global goes through an interceptor, which made the core some ten times slower than it is.
 */
import { createHash } from 'node:crypto';
import { createTransformer } from '@swc/jest';

const names = ['Math', 'Number', 'Object', 'Array', 'Map', 'Set', 'Float64Array', 'JSON', 'Infinity', 'NaN', 'String', 'RegExp', 'Symbol', 'Boolean'];
const first = names.map((name) => `const ${name} = globalThis.${name};`).join('');

export default {
  createTransformer(options) {
    const swc = createTransformer(options);
    const withNames = (made) => ({ ...made, code: first + made.code });
    return {
      ...swc,
      // what was made without the line, or with another one, is made anew
      getCacheKey: (...args) =>
        createHash('sha256')
          .update(first)
          .update(swc.getCacheKey(...args))
          .digest('hex'),
      process: (...args) => withNames(swc.process(...args)),
      processAsync: async (...args) => withNames(await swc.processAsync(...args)),
    };
  },
};
