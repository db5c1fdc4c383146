/** gambito: everything the core computes, without a browser. Exit 0 done, 2 the input is wrong, 1 Gambito failed. */
import { run } from './run';

process.exitCode = run(process.argv.slice(2));
