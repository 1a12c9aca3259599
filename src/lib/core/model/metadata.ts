// class-validator and class-transformer read property types through this polyfill; every entry
// point that touches a model class imports it first.
import 'reflect-metadata';
