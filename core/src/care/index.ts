export * from './care';
export * from './reason';
export * from './care-of';
export * from './neighbours';
export * from './mother';
export * from './rhythm';
export { factsOf, unsetOf, type Facts } from './facts';
export { nextLook, type NextLook } from './roots';
export * from './slip';
