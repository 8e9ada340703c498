import { Box, Button } from '@chakra-ui/react';
import { defaultVoice } from '@locutor/core/line';
import { BookA, Mic, Plus } from 'lucide-react';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { useSWRConfig } from 'swr';
import { api, wordsOf } from '../../api/client';
import { useGreetings, type KeptGreeting } from '../../api/resources';
import { useDraft } from '../../draft/DraftProvider';
import { tellProblem } from '../../parts/notices';
import { ScreenHead } from '../../parts/ScreenHead';
import { Dictionary } from './Dictionary';
import { GreetingEditor } from './GreetingEditor';
import { HoldMusic } from './HoldMusic';
import { Library } from './Library';
import { LineSays } from './LineSays';
import { SheetRecordings } from './SheetRecordings';
import { TextRecordings } from './TextRecordings';
import { useRecordables } from './useRecordables';

/** Everything that is spoken: the library, and what is made of it, one greeting or sheet at a time. */
export default function Greetings() {
  const { attendant } = useDraft();
  const greetings = useGreetings();
  const { greetingId } = useParams();
  const chosen = greetings.find((greeting) => greeting.id === greetingId);
  const sheet = attendant.sheets.find(({ id }) => id === greetingId);
  const text = useRecordables().find(
    ({ place, kind }) => place === greetingId && kind !== 'sheet' && kind !== 'greeting',
  );
  const add = useAddGreeting();
  const [isDictionary, setDictionary] = useState(false);
  const isOpen = chosen ?? sheet ?? text;
  return (
    <Box pb="8">
      <ScreenHead title="Greetings">
        {isOpen && (
          <Button asChild size="sm" variant="outline" bg="sheet">
            <Link to="/greetings">All greetings</Link>
          </Button>
        )}
        <Button asChild size="sm" variant="outline" bg="sheet">
          <Link to="/greetings/sessions">
            <Mic size={14} aria-hidden /> Record several
          </Link>
        </Button>
        <Button size="sm" variant="outline" bg="sheet" onClick={() => setDictionary(true)}>
          <BookA size={14} aria-hidden /> How words are said
        </Button>
        <Button size="sm" colorPalette="petrol" onClick={() => void add()}>
          <Plus size={14} aria-hidden /> New greeting
        </Button>
      </ScreenHead>
      {isDictionary && <Dictionary onClose={() => setDictionary(false)} />}
      <Box px="6">
        {chosen && <GreetingEditor key={chosen.id} greeting={chosen} />}
        {sheet && <SheetRecordings key={sheet.id} sheet={sheet} />}
        {text && <TextRecordings key={text.place} of={text} />}
        {!isOpen && (
          <>
            <Library />
            <LineSays />
            <HoldMusic />
          </>
        )}
      </Box>
    </Box>
  );
}

function useAddGreeting(): () => Promise<void> {
  const { mutate } = useSWRConfig();
  const navigate = useNavigate();
  return async () => {
    try {
      const body = { name: 'New greeting', words: 'Thank you for calling {business}.', voice: defaultVoice };
      const greeting = await api<KeptGreeting>('/api/greetings', { method: 'POST', body });
      await mutate('/api/greetings');
      await navigate(`/greetings/${greeting.id}`);
    } catch (error) {
      tellProblem(wordsOf(error));
    }
  };
}
