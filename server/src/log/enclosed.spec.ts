import { enclosed, unawaited } from './enclosed';
import { describeError, log } from './log';

const failures: unknown[][] = [];
beforeEach(() => {
  failures.length = 0;
  jest.spyOn(log, 'error').mockImplementation((...said: unknown[]) => void failures.push(said));
});
afterEach(() => jest.restoreAllMocks());

const said = () => failures.map(([facts]) => (facts as { what: string }).what);

describe('work that nobody waits for', () => {
  it('is told what it was given, and ends by itself when it throws or fails later', async () => {
    const given: number[] = [];
    const works = enclosed('a timer', (each: number) => given.push(each));
    works(1);
    enclosed('a listener', () => {
      throw new Error('broken');
    })();
    enclosed('a promise', async () => Promise.reject(new Error('broken')))();
    unawaited('a save', Promise.reject(new Error('broken')));
    await new Promise((resolve) => setImmediate(resolve));
    expect(given).toEqual([1]);
    expect(said().sort()).toEqual(['a listener', 'a promise', 'a save']);
  });

  it('lets what is half done be mended, whatever goes wrong in that', () => {
    let mended = 0;
    const breaks = (): never => {
      throw new Error('broken');
    };
    enclosed('a call', breaks, () => (mended += 1))();
    expect(mended).toBe(1);
    enclosed('a call', breaks, breaks)();
    expect(said()).toEqual(['a call', 'a call', 'a call']);
  });
});

describe('what is logged of an error', () => {
  it('says what and where, and none of the values that the database was given', () => {
    const error = Object.assign(new TypeError('SQLITE_CONSTRAINT: people.extension'), {
      code: 'SQLITE_CONSTRAINT',
      parameters: ['Noor Haldane', '+12075550140'],
      query: 'INSERT INTO people VALUES (?)',
    });
    const told = describeError(error);
    expect(told).toMatchObject({ name: 'TypeError', code: 'SQLITE_CONSTRAINT', message: error.message });
    expect(JSON.stringify(told)).not.toMatch(/Noor|2075550140|INSERT/);
    expect(describeError('gone')).toEqual({ message: 'gone' });
  });
});
