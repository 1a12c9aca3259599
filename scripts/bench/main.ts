import { measureCore } from './core';

console.log('In Node.js, as the server judges:');
for (const line of measureCore()) console.log(line);
