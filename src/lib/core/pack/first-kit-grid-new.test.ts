import { describe } from 'vitest';
import { walkGrid } from './tests/walk-grid';

describe('a first kit, bought new', () => walkGrid(false));
