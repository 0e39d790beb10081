/** The page for a page that this device has never seen, while the server can't be reached. */
export const words = {
  notOnThisDevice: 'This page is not on this device yet',
  theServerCantBeReached:
    'The server can’t be reached just now, and this page was never opened here before. What you tapped or typed is safe on this device and goes to the server when it is back. This page looks again every two seconds.',
  theseAreHere: 'These pages are here, and work without the server:',
  lookAgain: 'Look again now',
};
