package app.velvetcrock.browser;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;

/** The line between a phone and the house, that can be cut and joined: what is under way when it is cut is lost. */
final class Cable implements AutoCloseable {

    private final int to;
    private final int port;
    private final Set<Socket> open = ConcurrentHashMap.newKeySet();
    private ServerSocket door;

    Cable(int to) throws IOException {
        this.to = to;
        this.door = listen(0);
        this.port = door.getLocalPort();
        joined(door);
    }

    int port() {
        return port;
    }

    /** From now on nothing arrives, in either direction. */
    void cut() {
        try {
            door.close();
            for (Socket one : open) {
                one.close();
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void join() {
        try {
            door = listen(port);
            joined(door);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        cut();
    }

    private static ServerSocket listen(int port) throws IOException {
        ServerSocket door = new ServerSocket();
        door.setReuseAddress(true);
        door.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
        return door;
    }

    private void joined(ServerSocket here) {
        start(() -> {
            while (!here.isClosed()) {
                Socket phone = here.accept();
                Socket house = new Socket(InetAddress.getLoopbackAddress(), to);
                open.add(phone);
                open.add(house);
                if (here.isClosed()) {
                    // Cut while it was being joined.
                    phone.close();
                    house.close();
                }
                start(() -> pour(phone, house));
                start(() -> pour(house, phone));
            }
        });
    }

    private void pour(Socket from, Socket into) throws IOException {
        try (from;
                into;
                InputStream in = from.getInputStream();
                OutputStream out = into.getOutputStream()) {
            in.transferTo(out);
        } finally {
            open.remove(from);
            open.remove(into);
        }
    }

    private interface Does {
        void it() throws IOException;
    }

    /** What breaks off is what is tried here. */
    private static void start(Does does) {
        Thread one = new Thread(() -> {
            try {
                does.it();
            } catch (IOException cut) {
                Thread.currentThread().interrupt();
            }
        });
        one.setDaemon(true);
        one.start();
    }
}
