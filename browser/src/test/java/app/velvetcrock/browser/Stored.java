package app.velvetcrock.browser;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.Map;

/** What lies in the database when all is over, against what was acknowledged. */
record Stored(String address, Collection<Load.Deed> acknowledged) {

    /** Everything acknowledged is there once, nothing by half, every balance is the sum of its movements. */
    int compare() throws SQLException {
        int wrong = 0;
        try (Connection sql = DriverManager.getConnection(address, "crock", "");
                Statement ask = sql.createStatement()) {
            wrong += say("acknowledged and lost, or there twice", missing(ask));
            wrong += say(
                    "balances that are not the sum of their movements",
                    count(
                            ask,
                            "select count(*) from lot l where l.balance <> (select coalesce(sum(m.amount), 0) from movement m"
                                    + " where m.stillroom_id = l.stillroom_id and m.lot_id = l.id)"));
            wrong += say(
                    "halves: lots without what brought them in, starts without what they took",
                    count(
                            ask,
                            "select (select count(*) from lot l where not exists (select from movement m where m.lot_id = l.id))"
                                    + " + (select count(*) from batch b where not exists"
                                    + " (select from batch_entry e where e.batch_id = b.id)"
                                    + " or not exists (select from movement m where m.batch_id = b.id)"
                                    + " or not exists (select from batch_facts f where f.batch_id = b.id))"));
            wrong += say(
                    "lines of a key that is there twice",
                    count(
                            ask,
                            "select count(*) from (select client_key from batch_entry group by 1 having count(*) > 1) twice"));
        }
        return wrong == 0 ? 0 : 1;
    }

    private int missing(Statement ask) throws SQLException {
        Map<String, Integer> drawn = new LinkedHashMap<>();
        int wrong = 0;
        for (Load.Deed deed : acknowledged) {
            String query =
                    switch (deed.kind()) {
                        case "note" -> "select count(*) from batch_entry where kind = 'NOTED' and typed = '"
                                + deed.mark() + "'";
                        case "herb" -> "select count(*) from lot where came_from = '" + deed.mark() + "'";
                        default -> "select count(*) from movement where note = '" + deed.mark()
                                + "' and amount = -1000";
                    };
            drawn.merge(deed.kind(), 1, Integer::sum);
            if (count(ask, query) != 1) {
                wrong++;
                System.out.println("  " + deed);
            }
        }
        System.out.println("  by kind: " + drawn);
        return wrong;
    }

    private static int say(String what, int found) {
        System.out.printf("%d %s%n", found, what);
        return found;
    }

    private static int count(Statement ask, String query) throws SQLException {
        try (ResultSet found = ask.executeQuery(query)) {
            found.next();
            return found.getInt(1);
        }
    }
}
