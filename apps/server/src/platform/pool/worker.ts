/** One of the threads that compute. */
import { runTask, type Answer, type Task } from './tasks';

export default (task: Task): Answer => runTask(task);
