export { isInvited, isLoopback, isOurs } from './hosts';
export {
  COOKIE,
  hasPassphrase,
  isSignedIn,
  setPassphrase,
  signIn,
  signOut,
  signOutEverywhere,
  STAYS_MS,
  takePassphrase
} from './sign-in';
