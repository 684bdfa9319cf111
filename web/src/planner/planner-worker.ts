import { expose } from 'comlink';
import { tasks } from './tasks.ts';

expose(tasks);
