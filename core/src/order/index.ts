export * from './order';
export * from './open-orders';
