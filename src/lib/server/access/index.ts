export { isInvited, isLoopback, isOurs } from './hosts';
export {
  COOKIE,
  forgetWhoSignedIn,
  hasPassphrase,
  isSignedIn,
  setPassphrase,
  signIn,
  signOut,
  signOutEverywhere,
  STAYS_MS,
  takePassphrase
} from './sign-in';
