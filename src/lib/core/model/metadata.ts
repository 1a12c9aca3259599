// class-validator reads property types through this polyfill. The decorators in
// stated.ts import it, so that it is there before any model class is defined.
import 'reflect-metadata';
