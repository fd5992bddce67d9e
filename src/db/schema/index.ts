export * from './accounts';
export * from './workshop';
