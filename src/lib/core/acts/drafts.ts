import { enablePatches, setAutoFreeze } from 'immer';

// A project may hold thousands of parts; freezing every one of them after each act took longer than the
// act. Nobody changes a project but an act: the types say so.
setAutoFreeze(false);
enablePatches();

export { applyPatches, type Patch, produce, produceWithPatches } from 'immer';
