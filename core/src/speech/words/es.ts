import type { Key } from '../../line';
import type { Phrases } from './phrases';
import { asLabel, capitalised } from './label';

const parts = { lastName: 'apellido', firstName: 'nombre', eitherName: 'nombre o del apellido' } as const;
const spoken = (key: Key): string => (key === '*' ? 'asterisco' : key === '#' ? 'almohadilla' : key);

export const phrases: Phrases = {
  option: (label, key) => {
    const what = asLabel(label);
    return `${/^para\s/i.test(what) ? capitalised(what) : `Para ${what}`}, pulse ${spoken(key)}.`;
  },
  keyBeforeOption:
    /\b(?:pulse|marque|oprima) (?:el )?(\d|uno|dos|tres|cuatro|cinco|seis|siete|ocho|nueve|cero)\b,? para\b[^.,;]*/i,
  keyInWords:
    /\b(?:pulse|marque|oprima) (?:el )?(\d|\*|#|cero|uno|dos|tres|cuatro|cinco|seis|siete|ocho|nueve)(?![\p{L}\p{N}])/iu,
  leaveMessage: (boxName) =>
    `Por favor, deje un mensaje para ${boxName} después de la señal. Al terminar, pulse almohadilla o cuelgue.`,
  messageTaken: 'Gracias. Hemos recibido su mensaje. Adiós.',
  nothingMore: 'Lo sentimos, nadie puede atender su llamada en este momento. Adiós.',
  spellName: (part) => `Marque las tres primeras letras del ${parts[part]} con las teclas de su teléfono.`,
  dialExtension: 'Marque la extensión y después pulse almohadilla.',
  nobodyFound: 'Lo sentimos, no hay nadie con ese nombre.',
  noSuchExtension: 'Lo sentimos, esa extensión no existe.',
  choice: (name, key) => `Para ${name}, pulse ${key}.`,
  moreChoices: (key) => `Para más nombres, pulse ${key}.`,
  noAnswer: (name) => `${name} no contesta en este momento.`,
  acceptCall: 'Tiene una llamada. Para aceptarla, pulse 1.',
  placeInLine: (place) => (place === 1 ? 'Usted es el siguiente.' : `Usted es el número ${place} en la fila.`),
  expectedWait: (minutes) => `La espera es de unos ${minutes === 1 ? 'sesenta segundos' : `${minutes} minutos`}.`,
  leaveQueue: (key) => `Para dejar de esperar, pulse ${spoken(key)}.`,
  recorded: 'Esta llamada se graba.',
  enterPin: 'Marque el código del buzón y después pulse almohadilla.',
  wrongPin: 'Lo sentimos, ese código no es correcto.',
  pinPaused: (minutes) =>
    `Se ha marcado demasiadas veces un código incorrecto. Inténtelo de nuevo en ${minutes === 1 ? 'un minuto' : `${minutes} minutos`}.`,
  messagesWaiting: (count) =>
    count === 0 ? 'No tiene mensajes.' : `Tiene ${count === 1 ? 'un mensaje' : `${count} mensajes`}.`,
  messageFrom: (count, number) => `Mensaje ${count}${number ? `, de ${number}` : ''}.`,
  messageKeys: 'Para el siguiente, pulse 1. Para oírlo otra vez, pulse 2. Para borrarlo, pulse 3.',
  noMoreMessages: 'No hay más mensajes. Adiós.',
  noSuchNumber: 'Lo sentimos, ese número no existe.',
  speakGreeting: (name) => `Ya puede grabar: ${name}. Hable después de la señal y pulse almohadilla.`,
  nothingRecorded: 'No se ha oído nada. Hable después de la señal y pulse almohadilla.',
  takeKeys: 'Para guardarlo, pulse 1. Para oírlo, pulse 2. Para grabarlo otra vez, pulse 3.',
  takeKept: 'Guardado. Adiós.',
  speakNext: (name) => `Guardado. Ahora: ${name}. Hable después de la señal y pulse almohadilla.`,
  takeNotKept: 'No se ha guardado. Adiós.',
};
