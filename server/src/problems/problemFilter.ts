import { ArgumentsHost, Catch, HttpException, Inject, type ExceptionFilter } from '@nestjs/common';
import type { Request, Response } from 'express';
import { dataFolder } from '../storage/dataFolder';
import { describeStorageTrouble, storageTroubleOf } from '../storage/storageTrouble';
import { log } from '../log/log';
import { WorkStopped } from '../workers';
import { Problem, stopping, storageProblem, type ProblemDetails } from './problem';

/** Answers every error as `application/problem+json` (RFC 9457). */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  constructor(@Inject(dataFolder) private readonly folder: string) {}

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const details = this.detailsOf(error, http.getRequest<Request>());
    const response = http.getResponse<Response>();
    if (response.headersSent) return;
    response.status(details.status).type('application/problem+json').send(JSON.stringify(details));
  }

  private detailsOf(error: unknown, request: Request): ProblemDetails {
    if (error instanceof Problem) return error.details;
    if (error instanceof WorkStopped) return stopping.details;
    const trouble = storageTroubleOf(error);
    if (trouble) {
      log.error({ err: error, trouble }, 'What is kept could not be read or written');
      return storageProblem(trouble, describeStorageTrouble(trouble, this.folder)).details;
    }
    const status = error instanceof HttpException ? error.getStatus() : statusOf(error);
    if (status >= 500) log.error({ err: error, method: request.method }, 'A request could not be answered');
    return { type: 'about:blank', status, ...wordsFor(status, request) };
  }
}

/** Errors of the body parser carry a status of their own. */
function statusOf(error: unknown): number {
  const status = (error as { status?: unknown } | null)?.status;
  return typeof status === 'number' && status >= 400 && status < 600 ? status : 500;
}

function wordsFor(status: number, request: Request): Pick<ProblemDetails, 'title' | 'detail'> {
  switch (status) {
    case 400:
      return { title: 'Not understood', detail: 'What was sent could not be read. Nothing was changed.' };
    case 404:
      return { title: 'Not there', detail: `There is nothing at ${request.path}.` };
    case 413:
      return { title: 'Too large', detail: 'What was sent is too large. Nothing was changed.' };
    default:
      return status >= 500
        ? {
            title: 'Our fault',
            detail: 'Something went wrong on the server. What was saved before is safe; try again.',
          }
        : { title: 'Refused', detail: 'The server refused this request. Nothing was changed.' };
  }
}
