import { Button, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { device } from '../hand/hand';

/** Asks who works here, before anything is shown. */
export default function WhoAreYou({ people }: { people: readonly string[] }) {
  const form = useForm({
    mode: 'controlled',
    initialValues: { name: '' },
    validate: {
      name: (name) => (name.trim().length < 2 || name.length > 60 ? 'Type a name of 2 to 60 letters.' : null),
    },
  });
  const signIn = (who: string) =>
    device.signIn(who).catch((error: Error) => form.setFieldError('name', error.message));
  return (
    <main id="main" className="empty">
      <h1>Who are you?</h1>
      <p>Your name stands beside everything that you record.</p>
      {people.map((person) => (
        <Button key={person} variant="default" mr="sm" mb="sm" onClick={() => void signIn(person)}>
          {person}
        </Button>
      ))}
      <form noValidate onSubmit={form.onSubmit(({ name }) => void signIn(name))}>
        <TextInput label="Another name" autoComplete="name" mb="sm" {...form.getInputProps('name')} />
        <Button type="submit">Continue</Button>
      </form>
    </main>
  );
}
