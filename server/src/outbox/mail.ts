import MailComposer from 'nodemailer/lib/mail-composer';
import { createTransport } from 'nodemailer';

/** What an e-mail says, whoever gets it. */
export interface Letter {
  readonly subject: string;
  readonly text: string;
  /** The same with pictures (HTML); where it is left out there is only the text. */
  readonly html?: string;
  /** Pictures of it, by the name that `cid:` says there (RFC 2392); PNG. */
  readonly pictures?: Readonly<Record<string, Buffer>>;
  /** The message as a sound file. */
  readonly audio?: { readonly name: string; readonly content: Buffer };
}

export interface Mail extends Letter {
  readonly from: string;
  readonly to: { readonly name: string; readonly address: string };
  readonly date: Date;
}

/** A mail as standard MIME (RFC 5322, RFC 2045). */
export function writeMail({ from, to, subject, text, html, pictures = {}, date, audio }: Mail): Promise<Buffer> {
  const attachments = [
    ...(audio ? [{ filename: audio.name, content: audio.content, contentType: 'audio/wav' }] : []),
    ...Object.entries(pictures).map(([cid, content]) => ({
      ...{ cid, content, filename: `${cid}.png`, contentType: 'image/png', contentDisposition: 'inline' as const },
    })),
  ];
  const mail = new MailComposer({
    from: { name: 'Locutor', address: from },
    to: { ...to },
    subject: oneLine(subject),
    text,
    ...(html !== undefined && { html }),
    date,
    attachments,
    // Every line ends as the standard says, also where the text's do not.
    newline: 'windows',
    // What is written comes from callers and from the directory: nothing of it may be read as a file or an address.
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  return new Promise((resolve, reject) => {
    mail.compile().build((error, message) => (error ? reject(error) : resolve(message)));
  });
}

export interface MailServer {
  readonly host: string;
  readonly port: number;
  readonly secure: boolean;
  readonly user: string;
  readonly password: string;
}

const patienceMs = 15_000;

/** Hands a mail to an SMTP server (RFC 5321). @throws Error with the server's words. */
export async function sendMail(server: MailServer, envelope: { from: string; to: string }, raw: Buffer): Promise<void> {
  const { host, port, secure, user, password } = server;
  const transport = createTransport({
    host,
    port,
    secure,
    ...(user ? { auth: { user, pass: password } } : {}),
    connectionTimeout: patienceMs,
    greetingTimeout: patienceMs,
    socketTimeout: patienceMs,
  });
  try {
    await transport.sendMail({ envelope: { from: envelope.from, to: [envelope.to] }, raw });
  } finally {
    transport.close();
  }
}

function oneLine(text: string): string {
  return text.replace(/[\r\n]+/g, ' ');
}
