import { Injectable, type PipeTransform, type Type } from '@nestjs/common';
import { validation } from './validation';

/**
 * Checks a body whose one field is a large document, which core reads: the document is left alone, since to take it apart
 * a second time would hold the thread that runs the calls. Must be used with a body that is typed by an interface.
 */
@Injectable()
export class WithDocument implements PipeTransform {
  private readonly check = validation();

  constructor(
    private readonly of: Type,
    private readonly field: string,
  ) {}

  async transform(body: unknown): Promise<unknown> {
    const isObject = typeof body === 'object' && body !== null && !Array.isArray(body);
    const document = isObject && Object.hasOwn(body, this.field) ? (body as Record<string, unknown>)[this.field] : null;
    const isDocument = typeof document === 'object' && document !== null && !Array.isArray(document);
    const checked = isObject && isDocument ? { ...body, [this.field]: {} } : body;
    const read = (await this.check.transform(checked, { type: 'body', metatype: this.of })) as Record<string, unknown>;
    return isDocument ? { ...read, [this.field]: document } : read;
  }
}
