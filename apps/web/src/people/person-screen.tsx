/** One athlete and one place: a short form, a free-text kit that shows at once the loads it makes. */
import { useState } from 'react';
import { useParams } from 'react-router';
import { ApiError } from '../api/client';
import { useAthlete } from '../api/queries';
import type { StoredAthlete } from '../api/types';
import { Page } from '../shell/frame';
import { Button } from '../ui/button';
import { Failed, Loading } from '../ui/states';
import { AvoidField } from './avoid-field';
import { ChangedMeanwhile } from './changed-meanwhile';
import { HarmWaiting } from './harm-waiting';
import { HelpfulTests } from './helpful-tests';
import { LoadList } from './load-list';
import { otherKit } from './other-kit';
import { OwnDoorLink } from './own-door';
import { PastResults } from './past-results';
import { ChoiceField, LinesField, TextField } from './person-fields';
import { PasteBox } from './paste-box';
import { PlacePart } from './place-part';
import { ProposalsOf } from './proposals-of';
import { usePerson, type PersonForm } from './use-person';

export function PersonScreen() {
  const id = useParams()['id'];
  const { data: stored, error, refetch } = useAthlete(id === 'new' ? null : Number(id));
  if (id === 'new') return <Person key={id} stored={null} />;
  if (error instanceof ApiError && error.problem.status < 500) return <p className="p-6">This athlete was deleted or never here.</p>;
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!stored) return <Loading />;
  return <Person key={id} stored={stored} />;
}

function Person({ stored }: { stored: StoredAthlete | null }) {
  const person = usePerson(stored);
  return (
    <Page wide title={stored ? stored.name : 'New athlete'} aside={<Actions person={person} />}>
      <div className="mb-3 flex flex-col gap-3">
        <ChangedMeanwhile person={person} />
        <HarmWaiting person={person} />
      </div>
      <PasteBox person={person} />
      <form
        className="grid gap-x-8 gap-y-4 sm:grid-cols-2 xl:grid-cols-[1fr_1.15fr_1fr_270px]"
        onSubmit={(event) => {
          event.preventDefault();
          void person.save();
        }}
      >
        <Who person={person} />
        <PlacePart person={person} />
        <Ability person={person} />
        <div>
          {stored && <ProposalsOf athleteId={stored.id} person={person} />}
          {stored && <PastResults stored={stored} today={person.today} />}
          {stored && <OwnDoorLink athleteId={stored.id} />}
          <HelpfulTests athlete={person.athlete} today={person.today} />
          <LoadList loads={person.loads} others={otherKit(person.kit)} assumed={person.athlete.assumed} />
        </div>
      </form>
    </Page>
  );
}

/** Nothing typed is dropped without asking. */
function Actions({ person: { touched, drop, save, busy } }: { person: PersonForm }) {
  const [asking, setAsking] = useState(false);
  return (
    <>
      {touched && <span className="text-sm text-soft">kept in this browser until saved</span>}
      {asking ? (
        <span role="alertdialog" aria-label="Drop changes" className="flex items-center gap-2 text-sm">
          Drop what you typed?
          <Button look="danger" onClick={drop} autoFocus>
            Drop it
          </Button>
          <Button onClick={() => setAsking(false)}>Keep it</Button>
        </span>
      ) : (
        <Button onClick={() => (touched ? setAsking(true) : drop())}>{touched ? 'Drop changes' : 'Back'}</Button>
      )}
      <Button look="main" onClick={() => void save()} disabled={busy}>
        Save
      </Button>
    </>
  );
}

function Who({ person }: { person: PersonForm }) {
  return (
    <section className="flex flex-col gap-2" aria-label="Person">
      <TextField person={person} name="name" label="Name" required />
      <div className="grid grid-cols-2 gap-3">
        <ChoiceField person={person} name="category" label="Weights" hint="women’s or men’s weights of a workout" options={['women', 'men']} />
        <ChoiceField person={person} name="level" label="Level" options={['new', 'newer', 'trained', 'competitive']} />
        <TextField person={person} name="bodyMass" label="Body weight" hint="such as 64 kg, 141 lb, 10 st 1 lb" />
        <TextField person={person} name="stature" label="Height" hint="such as 168 cm, 5 ft 6" />
        <TextField person={person} name="born" label="Born" hint="year" />
        <ChoiceField person={person} name="units" label="Units" options={['kg', 'lb']} />
        <TextField person={person} name="timeAvailable" label="Time available" hint="such as 40 min" />
        <TextField person={person} name="reach" label="Reach" hint="of the raised hand, such as 212 cm" />
      </div>
      <TextField person={person} name="groups" label="Groups" hint="such as ferry crew, new" />
      <TextField person={person} name="tier" label="Tier" hint="trains as this tier: one dumbbell, newer, 30 min" />
      <TextField person={person} name="contact" label="Contact" hint="where messages reach them: an e-mail address or a number" />
      <TextField person={person} name="notes" label="Notes" />
      <AvoidField person={person} />
      <div className="grid grid-cols-2 gap-3">
        <TextField person={person} name="squatDepth" label="Squats only to" hint="such as chair, parallel" />
        <TextField person={person} name="reachLimit" label="Reaches only to" hint="such as knees" />
      </div>
    </section>
  );
}

function Ability({ person }: { person: PersonForm }) {
  return (
    <section className="flex flex-col gap-2" aria-label="Ability">
      <LinesField
        person={person}
        name="lifts"
        label="Lifts"
        hint="one a line: back squat 88 kg, or 80 kg x 5, with its day where you know it: 88 kg, 2026-09"
        rows={4}
      />
      <LinesField person={person} name="bestSets" label="Best sets" hint="one a line: strict pull-up 6, or 6, 2026-09" rows={4} />
      <LinesField person={person} name="times" label="Times" hint="one a line: run 400 m 1:36" rows={2} />
      <LinesField person={person} name="skills" label="Skills" hint="one a line: double under half · handstand push-up no" rows={2} />
      <LinesField person={person} name="prefer" label="Prefers" hint="one a line: push-up: raised" rows={2} />
    </section>
  );
}
