package app.velvetcrock.browser;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ThreadLocalRandom;

/**
 * Two nodes on one database under a load of deeds; one node after the other is killed as by a power cut, and the database's server
 * too; its disk fills up, it stands still. Every deed is sent again under its own key until it is acknowledged; then what was
 * acknowledged is compared with what is stored. Run by {@code ./crock torture}; ends in figures and an exit code.
 */
final class Torture {

    private static final int WRITERS = 4;

    /** What stands before the nodes; empty where they are spoken to themselves. */
    private static final String FRONT = System.getProperty("crock.front", "");

    /** The pooler between nodes and database; empty where there is none. */
    private static final String POOL = System.getProperty("crock.pool", "");

    /** How often the disk is filled and the database held up. */
    private static final int TROUBLES = Integer.getInteger("crock.troubles", 0);

    private final List<Node> nodes = new ArrayList<>();
    private final Load load = new Load(nodes, FRONT);
    private final List<Double> without = new ArrayList<>();
    private final Pulled database;

    private Torture(Pulled database) {
        this.database = database;
    }

    /**
     * Runs it.
     *
     * @param arguments kills of nodes, kills of the database's server, the application's folder, a first port, and the folder and
     *     port of each server: one, or a primary and its standby
     */
    public static void main(String[] arguments) throws Exception {
        int ofNodes = Integer.parseInt(arguments[0]);
        int ofDatabase = Integer.parseInt(arguments[1]);
        int port = Integer.parseInt(arguments[3]);
        Torture torture = new Torture(Pulled.of(List.of(arguments).subList(4, arguments.length)));
        for (int i = 0; i < 2; i++) {
            torture.nodes.add(new Node(Path.of(arguments[2]), port + i, torture.where()));
        }
        int code = 1;
        try {
            for (Node node : torture.nodes) {
                node.start();
                node.await();
            }
            code = torture.run(ofNodes, ofDatabase);
        } finally {
            torture.nodes.forEach(Node::kill);
        }
        System.exit(code);
    }

    private Map<String, String> where() {
        return POOL.isEmpty()
                ? Map.of("CROCK_DB_URL", database.address())
                : Map.of("CROCK_DB_URL", POOL, "CROCK_DB_DIRECT_URL", database.address());
    }

    private int run(int ofNodes, int ofDatabase) throws Exception {
        load.begin(WRITERS);
        long began = System.nanoTime();
        int killed = kills(ofNodes, ofDatabase);
        say("from a killed database to the next deed acknowledged");
        for (int i = 0; i < TROUBLES; i++) {
            passing(database::fill);
        }
        say("from a disk that was full for ten seconds to the next deed acknowledged");
        for (int i = 0; i < TROUBLES; i++) {
            passing(database::hold);
        }
        say("from a database that stood still for five seconds to the next deed acknowledged");
        load.end();
        System.out.printf(
                "%d kills of a node and %d of the database in %d s; %d deeds acknowledged, %d of them sent more than once%n",
                ofNodes,
                killed,
                (System.nanoTime() - began) / 1_000_000_000,
                load.acknowledged().size(),
                load.repeated());
        return new Stored(database.address(), load.acknowledged()).compare();
    }

    private int kills(int ofNodes, int ofDatabase) throws Exception {
        int all = Math.max(ofNodes, ofDatabase);
        int killed = 0;
        for (int kill = 0; kill < all; kill++) {
            Thread.sleep(ThreadLocalRandom.current().nextInt(400, 1800));
            Node node = nodes.get(kill % nodes.size());
            if (kill < ofNodes) {
                node.kill();
            }
            if (killed < ofDatabase && (kill + 1) % Math.max(1, all / ofDatabase) == 0) {
                Thread.sleep(ThreadLocalRandom.current().nextInt(100, 600));
                trouble(database::kill);
                database.mend();
                killed++;
            }
            if (kill < ofNodes) {
                node.start();
                node.await();
            }
        }
        return killed;
    }

    private interface Trouble {
        void make() throws Exception;
    }

    private void trouble(Trouble trouble) throws Exception {
        Thread.sleep(ThreadLocalRandom.current().nextInt(400, 1200));
        long before = System.nanoTime();
        trouble.make();
        without.add(load.untilAnswered(before));
    }

    /** The same, counted from when it is over. */
    private void passing(Trouble trouble) throws Exception {
        trouble.make();
        without.add(load.untilAnswered(System.nanoTime()));
    }

    private void say(String what) {
        if (!without.isEmpty()) {
            System.out.printf(
                    "seconds %s: %.1f at the most, %.1f in the middle%n",
                    what,
                    without.stream().mapToDouble(s -> s).max().orElse(0),
                    without.stream()
                            .sorted()
                            .skip(without.size() / 2)
                            .findFirst()
                            .orElse(0.0));
        }
        without.clear();
    }
}
