import { makeDemo } from './make';

const [dataDir] = process.argv.slice(2);
if (!dataDir) throw new Error('Usage: node demo/dist/main.js FOLDER');
makeDemo(dataDir).catch((error: unknown) => {
  console.error(error);
  process.exit(1);
});
