import { expose } from 'comlink';
import { makeProofWork } from './proof-work';

expose(makeProofWork());
