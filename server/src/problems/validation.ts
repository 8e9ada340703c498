import { ValidationPipe, type ValidationError } from '@nestjs/common';
import { invalid, type ProblemAt } from './problem';

/** Checks every request's body by its class; what is not declared there is refused. */
export function validation(): ValidationPipe {
  return new ValidationPipe({
    whitelist: true,
    forbidNonWhitelisted: true,
    transform: true,
    exceptionFactory: (errors) => invalid(errors.flatMap((error) => problemsOf(error))),
  });
}

function problemsOf(error: ValidationError, parent = ''): readonly ProblemAt[] {
  const at = parent ? `${parent}.${error.property}` : error.property;
  const { whitelistValidation, ...others } = error.constraints ?? {};
  const says = whitelistValidation ? [`“${error.property}” is nothing that can be said here.`] : Object.values(others);
  // One field may fail several checks that say the same.
  const own = [...new Set(says.map(asSentence))].map((each) => ({ at, says: each }));
  return [...own, ...(error.children ?? []).flatMap((child) => problemsOf(child, at))];
}

function asSentence(text: string): string {
  return text.endsWith('.') ? text : `${text.charAt(0).toUpperCase()}${text.slice(1)}.`;
}
