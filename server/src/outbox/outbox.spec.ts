import type { AddressInfo } from 'node:net';
import { simpleParser } from 'mailparser';
import request from 'supertest';
import { SMTPServer } from 'smtp-server';
import { writeWav } from '@locutor/core/audio';
import { boatyardFacts, testServer, type TestServer } from '../testing/testServer';
import { OutboxService } from './outbox.service';

const sound = Buffer.from(writeWav({ samples: new Float32Array(16_000).fill(0.2), rateHz: 8000 }));

let server: TestServer;
let boxId: string;
let noor: string;

/** A real SMTP server that keeps what it is sent, or refuses it. */
async function mailServer(refuses = false): Promise<{ port: number; mails: Buffer[]; close: () => Promise<void> }> {
  const mails: Buffer[] = [];
  const smtp = new SMTPServer({
    authOptional: true,
    disabledCommands: ['STARTTLS'],
    onRcptTo: (_, __, done) => done(refuses ? new Error('No such mailbox here') : null),
    onData: (stream, _, done) => {
      const parts: Buffer[] = [];
      stream.on('data', (part: Buffer) => parts.push(part));
      stream.on('end', () => {
        mails.push(Buffer.concat(parts));
        done();
      });
    },
  });
  await new Promise<void>((resolve) => {
    smtp.listen(0, '127.0.0.1', resolve);
  });
  const { port } = smtp.server.address() as AddressInfo;
  return { port, mails, close: () => new Promise((resolve) => smtp.close(() => resolve())) };
}

async function setMail(changes: object): Promise<void> {
  const { body } = await server.ask('get', '/api/settings');
  const answer = await server.ask('patch', '/api/settings', { revision: body.revision, ...changes });
  expect(answer.status).toBe(200);
}

async function leave(trial = false) {
  const sent = request(server.app.getHttpServer()).post(`/api/boxes/${boxId}/messages`).set('Host', '127.0.0.1');
  const { body } = await sent
    .field({ callerNumber: '+12075550162', trial: String(trial) })
    .attach('audio', sound, 'message.wav');
  return body;
}

const outbox = async () => (await server.ask('get', '/api/outbox')).body;
const sendDue = () => server.app.get(OutboxService).sendDue();

beforeEach(async () => {
  server = await testServer();
  await server.ask('post', '/api/start', boatyardFacts);
  const [person] = (await server.ask('get', '/api/people')).body;
  noor = person.id;
  await server.ask('patch', `/api/people/${noor}`, {
    revision: 1,
    email: 'noor@larkspurcove.example',
    mobile: '+1 207 555 0161',
  });
  const tell = [
    { personId: noor, by: 'emailWithAudio' },
    { personId: noor, by: 'text' },
  ];
  boxId = (await server.ask('post', '/api/boxes', { name: 'Moorings\r\nBcc: spy@x.example', tell })).body.id;
});
afterEach(() => server.stop());

describe('the Outbox', () => {
  it('keeps what would be sent while no mail server is set up, and gives the e-mail as a file', async () => {
    await leave();
    const items = await outbox();
    expect(
      items.map(({ kind, state, to }: { kind: string; state: string; to: string }) => [kind, state, to]).sort(),
    ).toEqual([
      ['email', 'kept', 'noor@larkspurcove.example'],
      ['text', 'kept', '+12075550161'],
    ]);
    const mail = items.find(({ kind }: { kind: string }) => kind === 'email');
    const eml = await request(server.app.getHttpServer())
      .get(`/api/outbox/${mail.id}/eml`)
      .set('Host', '127.0.0.1')
      .buffer(true);
    expect(eml.headers['content-type']).toContain('message/rfc822');
    expect(String(eml.text ?? eml.body)).not.toMatch(/[^\r]\n|\r[^\n]/);
    const parsed = await simpleParser(eml.text ?? eml.body);
    expect(parsed.subject).toContain('from +1 207 555 0162');
    expect(parsed.bcc).toBeUndefined();
    expect(parsed.attachments[0]).toMatchObject({ contentType: 'audio/wav', filename: 'message.wav' });
    expect(parsed.attachments[0]?.content.subarray(0, 4).toString()).toBe('RIFF');
  });

  it('tells nobody of a trial', async () => {
    await leave(true);
    expect(await outbox()).toEqual([]);
  });

  it('hands mail to a real mail server', async () => {
    const mail = await mailServer();
    await setMail({ mailHost: '127.0.0.1', mailPort: mail.port, mailFrom: 'line@larkspurcove.example' });
    await leave();
    await sendDue();
    expect((await outbox()).find(({ kind }: { kind: string }) => kind === 'email')).toMatchObject({
      state: 'sent',
      attempts: 1,
    });
    expect(mail.mails).toHaveLength(1);
    const parsed = await simpleParser(mail.mails[0] as Buffer);
    expect(parsed.from?.value[0]?.address).toBe('line@larkspurcove.example');
    expect(parsed.attachments).toHaveLength(1);
    await mail.close();
  });

  it('says why a mail was refused, tries again, and gives up in the end, where it can be seen', async () => {
    const mail = await mailServer(true);
    await setMail({ mailHost: '127.0.0.1', mailPort: mail.port });
    await leave();
    await sendDue();
    const item = () => outbox().then((items) => items.find(({ kind }: { kind: string }) => kind === 'email'));
    const refused = await item();
    expect(refused).toMatchObject({
      state: 'waiting',
      attempts: 1,
      problem: expect.stringContaining('No such mailbox here'),
    });
    expect(refused.nextTryAt).toBe(server.clock.now() + 60_000);
    for (const minutes of [1, 5, 30, 120]) {
      expect(await item()).toMatchObject({ state: 'waiting' });
      server.clock.jump(minutes * 60_000);
      await sendDue();
    }
    expect(await item()).toMatchObject({ state: 'failed', nextTryAt: null });
    await mail.close();
    const works = await mailServer();
    await setMail({ mailPort: works.port });
    expect((await server.ask('post', `/api/outbox/${refused.id}/try`)).body.state).toBe('sent');
    await works.close();
  });

  it('never sends the password of the mail server back', async () => {
    await setMail({ mailPassword: 'hunter2hunter2' });
    expect(JSON.stringify((await server.ask('get', '/api/settings')).body)).not.toContain('hunter2');
  });
});

describe('a message', () => {
  it('is forwarded to another box and by e-mail, deleted and restored', async () => {
    const { id } = await leave();
    const [office] = ((await server.ask('get', '/api/boxes')).body as { id: string; name: string }[]).filter(
      ({ name }) => name === 'Office',
    );
    expect((await server.ask('post', `/api/messages/${id}/forward`, { boxId: office?.id })).status).toBe(200);
    const boxes = (await server.ask('get', '/api/messages')).body.map((each: { boxId: string }) => each.boxId);
    expect(boxes.sort()).toEqual([boxId, office?.id].sort());
    await server.ask('post', `/api/messages/${id}/forward`, { personId: noor });
    expect(await outbox()).toHaveLength(3);
    expect((await server.ask('post', `/api/messages/${id}/forward`, {})).status).toBe(422);
    await server.ask('delete', `/api/messages/${id}`);
    expect((await server.ask('get', '/api/messages?deleted=true')).body).toMatchObject([{ id }]);
    await server.ask('post', `/api/messages/${id}/restore`);
    expect((await server.ask('get', '/api/messages')).body).toHaveLength(2);
  });
});
