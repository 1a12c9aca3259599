import { expose } from 'comlink';
import { judgeWork } from './judge-work';

expose(judgeWork);
