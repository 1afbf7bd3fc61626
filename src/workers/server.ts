export { refusal, type Answer } from './serveJob';
export { runInThread } from './threadPool';
