export { afterworkFor, isFinished, type AfterworkTask } from './afterworkFor';
