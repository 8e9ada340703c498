import type { Answer, TestServer } from './testServer';

/** Puts a draft on air with a yes to whatever is no fault, as somebody does who has looked at it. */
export async function airDraft(
  server: Pick<TestServer, 'ask'>,
  lineId: string,
  draftRevision: number,
): Promise<Answer> {
  const { body: findings } = await server.ask('get', `/api/lines/${lineId}/proof`);
  const cautions = (findings as { key: string; grade: string }[]).filter(({ grade }) => grade === 'caution');
  const yes = cautions.map(({ key }) => ({ key, reason: 'It is meant so.' }));
  return server.ask('post', `/api/lines/${lineId}/versions`, { draftRevision, by: 'Tamsin', yes });
}
