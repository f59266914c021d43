/** Passwords of twelve characters and more that are tried first, by anyone; small letters, without digits at the end. */
const common = new Set([
  'password',
  'passwordpassword',
  'passwort',
  'wachtwoord',
  'motdepasse',
  'qwertyuiop',
  'qwertyuiopasdfghjkl',
  'asdfghjkl',
  'zxcvbnm',
  'qwertyqwerty',
  'administrator',
  'letmeinletmein',
  'welcomewelcome',
  'iloveyouiloveyou',
  'iloveyousomuch',
  'changemechangeme',
  'correcthorsebatterystaple',
  'mysecretpassword',
  'ilovemyfamily',
  'unbelievable',
  'supermanbatman',
  'trustnoonetrustno',
  'abcdefghijkl',
  'abcdefghijklmnopqrstuvwxyz',
  'secretsecret',
  'testtesttest',
  'adminadmin',
  'rootrootroot',
  'computercomputer',
  'sunshinesunshine',
]);

const letters = (text: string) => text.toLowerCase().replace(/[^\p{L}\p{N}]/gu, '');

/** Is it a few characters again and again, or a row of neighbours such as 123456789012? */
function isPattern(text: string): boolean {
  for (let length = 1; length <= 4; length++)
    if (
      text
        .slice(0, length)
        .repeat(Math.ceil(text.length / length))
        .slice(0, text.length) === text
    )
      return true;
  const steps = Array.from(text.slice(1), (letter, i) => (letter.charCodeAt(0) - text.charCodeAt(i) + 10) % 10);
  return steps.every((step) => step === 1) || steps.every((step) => step === 9);
}

/** Why a password would soon be guessed, in plain words; undefined when it may be used. `about`: what is known of the person. */
export function passwordProblem(password: string, about: readonly string[]): string | undefined {
  const plain = letters(password);
  const bare = plain.replace(/\d+$/, '').replace(/^\d+/, '');
  if (plain === '' || isPattern(plain))
    return 'This would soon be guessed: it is a few characters again and again, or a row.';
  if (common.has(plain) || common.has(bare))
    return 'This is one of the passwords that are tried first. Choose another.';
  const own = about.map(letters).filter((each) => each.length >= 4);
  const isOwn = own.some((each) => plain.replaceAll(each, '').length < 5 && plain.includes(each));
  return isOwn ? 'This is little more than a name that others know. Choose another.' : undefined;
}
