import 'reflect-metadata';
import { startServer } from './app';
import { configFrom } from './config';

startServer(configFrom(process.env)).then(
  ({ url }) => console.log(`Locutor is ready: ${url}`),
  (error: unknown) => {
    console.error(error instanceof Error ? error.message : error);
    process.exit(1);
  },
);
