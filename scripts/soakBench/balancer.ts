import { createServer, request, type IncomingMessage, type Server, type ServerResponse } from 'node:http';

export interface Balancer {
  readonly url: string;
  readonly close: () => void;
}

/** As plain as they come: every request to one of the servers by chance, to another where that one is not there. */
export async function balance(ports: readonly number[], random: () => number): Promise<Balancer> {
  const pass = (from: IncomingMessage, to: ServerResponse, body: Buffer, left: readonly number[]): void => {
    const port = left[Math.floor(random() * left.length)];
    if (port === undefined) return void to.writeHead(502).end();
    const onward = request(
      {
        host: '127.0.0.1',
        port,
        method: from.method,
        path: from.url,
        headers: { ...from.headers, host: `127.0.0.1:${port}` },
      },
      (answer) => {
        to.writeHead(answer.statusCode ?? 502, answer.headers);
        answer.pipe(to);
        answer.on('error', () => to.destroy());
        to.on('close', () => onward.destroy());
      },
    );
    onward.on('error', (error: NodeJS.ErrnoException) => {
      if (to.headersSent) return to.destroy();
      // nobody there: nothing was asked yet. Whatever else went wrong may have been heard, and is the sender's to repeat
      if (error.code === 'ECONNREFUSED')
        pass(from, to, body, left.filter((each) => each !== port)); // prettier-ignore
      else to.destroy();
    });
    onward.end(body);
  };
  const server: Server = createServer((from, to) => {
    const parts: Buffer[] = [];
    from.on('data', (part: Buffer) => parts.push(part));
    from.on('end', () => pass(from, to, Buffer.concat(parts), ports));
  });
  server.keepAliveTimeout = 100;
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  const address = server.address();
  return {
    url: `http://127.0.0.1:${typeof address === 'object' && address ? address.port : 0}`,
    close: () => {
      server.closeAllConnections();
      server.close();
    },
  };
}
