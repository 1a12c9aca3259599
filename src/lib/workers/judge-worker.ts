import { expose } from 'comlink';
import { makeJudgeWork } from './judge-work';

expose(makeJudgeWork());
