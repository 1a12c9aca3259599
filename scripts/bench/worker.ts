import { measureCore } from './core';

/** The core measured where it works for a person: in a worker of the browser. */
postMessage(measureCore());
