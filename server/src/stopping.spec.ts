import { once } from 'node:events';
import { mkdtempSync, rmSync } from 'node:fs';
import { connect, type Socket } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startServer, type RunningServer } from './app';

const dataDir = mkdtempSync(join(tmpdir(), 'locutor-stopping-'));
let server: RunningServer;

beforeEach(async () => {
  server = await startServer({ dataDir, webDir: null, port: 0 });
});

afterAll(() => rmSync(dataDir, { recursive: true, force: true }));

async function connected(): Promise<Socket> {
  const socket = connect(Number(new URL(server.url).port), '127.0.0.1');
  await once(socket, 'connect');
  return socket;
}

describe('stopping the server', () => {
  it('does not wait for connections that browsers keep in case they need them', async () => {
    const unused = await connected();
    const ended = once(unused, 'close');
    await server.stop();
    await ended;
  });

  it('answers what was asked first', async () => {
    const body = '{"name":"Harbour"}';
    const socket = await connected();
    socket.write(
      `POST /api/greetings HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: ${body.length}\r\nExpect: 100-continue\r\n\r\n`,
    );
    await once(socket, 'data');
    const stopped = server.stop();
    socket.write(body);
    expect(String((await once(socket, 'data'))[0])).toMatch(/^HTTP\/1\.1 422 /);
    await stopped;
  });

  it('takes nothing new', async () => {
    await server.stop();
    await expect(fetch(`${server.url}/api/health`)).rejects.toThrow();
  });
});
