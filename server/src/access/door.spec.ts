import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import request from 'supertest';
import { testServer, type TestServer } from '../testing/testServer';

let server: TestServer;
beforeAll(async () => {
  const webDir = mkdtempSync(join(tmpdir(), 'locutor-spec-'));
  mkdirSync(join(webDir, 'assets'));
  writeFileSync(join(webDir, 'index.html'), '<title>Locutor</title>');
  writeFileSync(join(webDir, 'assets', 'main.js'), '0;');
  server = await testServer({ webDir });
});
afterAll(() => server.stop());

const host = '127.0.0.1:4140';
const get = async (path: string, headers: Record<string, string>) =>
  request(server.app.getHttpServer())
    .get(path)
    .set({ host, ...headers });
const status = async (path: string, headers: Record<string, string>) => (await get(path, headers)).status;
const post = async (
  headers: Record<string, string>,
  body: string | object = { name: 'Fuel', number: '+12075550199' },
) =>
  (
    await request(server.app.getHttpServer())
      .post('/api/contacts')
      .set({ host, ...headers })
      .send(body)
  ).status;

describe('by another name of this machine', () => {
  it.each([
    '/',
    '/assets/main.js',
    '/api/people',
    '/api/openapi.json',
    '/api/docs',
    '/api/docs/swagger-ui.css',
    '/hours',
  ])('%s is not answered', async (path) => {
    expect(await status(path, {})).toBe(200);
    for (const other of ['elsewhere.example', '127.0.0.1.elsewhere.example', '192.168.1.20:4140', '']) {
      const { status: refused, type, body } = await get(path, { host: other });
      expect({ refused, type, detail: body.detail }).toEqual({
        refused: 403,
        type: 'application/problem+json',
        detail: 'Locutor answers on this machine only.',
      });
    }
  });

  it.each(['localhost', 'localhost:4140', '[::1]:4140', '127.0.0.1'])('%s is one of ours', async (own) => {
    expect(await status('/api/people', { host: own })).toBe(200);
  });
});

describe('what another site asks', () => {
  it.each(['cross-site', 'same-site'])('is read by nobody: %s', async (site) => {
    for (const path of ['/api/people', '/api/calls/csv', '/assets/main.js', '/api/openapi.json']) {
      expect(await status(path, { 'sec-fetch-site': site, 'sec-fetch-mode': 'no-cors' })).toBe(403);
      expect(await status(path, { 'sec-fetch-site': 'same-origin' })).toBe(200);
      expect(await status(path, { 'sec-fetch-site': 'none', 'sec-fetch-mode': 'navigate' })).toBe(200);
    }
  });

  it('may open a screen, as a link in a mail does, but not in a frame, nor a file', async () => {
    const from = { 'sec-fetch-site': 'cross-site', 'sec-fetch-mode': 'navigate', accept: 'text/html' };
    expect(await status('/messages', { ...from, 'sec-fetch-dest': 'document' })).toBe(200);
    expect(await status('/messages', { ...from, 'sec-fetch-dest': 'iframe' })).toBe(403);
    expect(await status('/api/calls/csv', { ...from, 'sec-fetch-dest': 'document' })).toBe(403);
  });

  it('changes nothing', async () => {
    expect(await post({ origin: `http://${host}`, 'sec-fetch-site': 'same-origin' })).toBe(201);
    expect(await post({})).toBe(201);
    for (const origin of ['http://elsewhere.example', 'http://127.0.0.1:9999', 'null', `https://${host}`]) {
      expect(await post({ origin })).toBe(403);
    }
    expect(await post({ origin: `http://${host}`, 'sec-fetch-site': 'same-site' })).toBe(403);
  });

  it('is not taken as a form or as text, which could be sent without asking', async () => {
    const form = 'name=Fuel&number=%2B12075550199';
    expect(await post({ 'content-type': 'application/x-www-form-urlencoded' }, form)).toBe(415);
    expect(await post({ 'content-type': 'text/plain' }, '{"name":"Fuel","number":"+12075550199"}')).toBe(415);
    expect((await server.ask('get', '/api/contacts')).body).toHaveLength(2);
  });
});

describe('what is answered', () => {
  it('is kept by nobody on the way, but for files that never change', async () => {
    expect((await get('/api/people', {})).headers['cache-control']).toBe('no-store');
    expect((await get('/api/nothing', {})).headers['cache-control']).toBe('no-store');
    expect((await get('/assets/main.js', {})).headers['cache-control']).toContain('immutable');
  });

  it('lets a page load its parts from here only', async () => {
    const policy = (await get('/', {})).headers['content-security-policy'] ?? '';
    const sources = policy.split(';').map((each) => each.trim());
    expect(sources).toContain("font-src 'self'");
    expect(policy).not.toMatch(/https?:|\*/);
  });
});
