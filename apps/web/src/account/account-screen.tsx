/** The coach's account: where the day begins and what an unlabelled load is in, and the password. */
import { useMe } from '../api/queries';
import { Page } from '../shell/frame';
import { Failed, Loading } from '../ui/states';
import { BackupsList } from './backups-list';
import { CalendarFeed } from './calendar-feed';
import { DeskArchive } from './desk-archive';
import { DeskPeople } from './desk-people';
import { HouseWordsList } from './house-words-list';
import { Invitations } from './invitations';
import { Messenger } from './messenger';
import { Outbox } from './outbox';
import { PasswordForm } from './password-form';
import { RoomForm } from './room-form';
import { SessionsList } from './sessions-list';

export function AccountScreen() {
  const { data: me, error, refetch } = useMe();
  if (error) return <Failed error={error} retry={() => void refetch()} />;
  if (!me?.coach) return <Loading />;
  return (
    <Page title="Account">
      <p className="mb-4 text-soft">
        {me.coach.name}, {me.coach.email}
        {me.coach.guestOf && `, at the desk of ${me.coach.guestOf}`}
      </p>
      <div className="grid gap-10 md:grid-cols-2">
        <RoomForm coach={me.coach} />
        <SessionsList />
        <HouseWordsList />
        <DeskPeople />
        <CalendarFeed />
        <Messenger />
        <DeskArchive />
        {me.demo ? (
          <section>
            <h2 className="mb-2 text-lg">Password</h2>
            <p className="text-sm text-soft">
              The demo has none: anybody who opens this page opens its desk. A desk of your own is{' '}
              <code className="whitespace-nowrap">npm start -- --empty</code>.
            </p>
          </section>
        ) : (
          <PasswordForm />
        )}
        {me.coach.founder && (
          <>
            <Invitations />
            <Outbox />
            <BackupsList />
          </>
        )}
      </div>
    </Page>
  );
}
