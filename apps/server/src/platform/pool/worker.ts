/** One of the threads that compute. */
import { setPriority } from 'node:os';
import { runTask, type Answer, type Task } from './tasks';

// on Linux this is the thread's own: whoever computes steps back for whoever answers
setPriority(5);

export default (task: Task): Promise<Answer> => runTask(task);
