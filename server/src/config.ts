import { resolve } from 'node:path';

/** Where the server keeps its data and how it is reached. */
export interface Config {
  /** Holds the database and, beside it, the audio files. */
  readonly dataDir: string;
  /** The built web application; null serves the API alone. */
  readonly webDir: string | null;
  /** Where voices of the business's own are, each a folder; left out for none. */
  readonly voicesDir?: string;
  /** 0 takes any free port. */
  readonly port: number;
}

/** Until there are accounts the server is reached from its own machine only. */
export const host = '127.0.0.1';

/** Reads LOCUTOR_DATA, LOCUTOR_WEB, LOCUTOR_VOICES and PORT. @throws RangeError when PORT is no port. */
export function configFrom(environment: Readonly<Record<string, string | undefined>>): Config {
  const port = Number(environment.PORT ?? 4140);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new RangeError(`PORT must be a number from 0 to 65535, not "${environment.PORT}"`);
  }
  return {
    dataDir: resolve(environment.LOCUTOR_DATA ?? 'data'),
    webDir: environment.LOCUTOR_WEB ? resolve(environment.LOCUTOR_WEB) : null,
    ...(environment.LOCUTOR_VOICES && { voicesDir: resolve(environment.LOCUTOR_VOICES) }),
    port,
  };
}
