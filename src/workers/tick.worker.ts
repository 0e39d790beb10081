/** A second hand that goes on while its page is in the background, where the page's own timers are slowed down to one a minute. */
setInterval(() => postMessage(null), 1000);
