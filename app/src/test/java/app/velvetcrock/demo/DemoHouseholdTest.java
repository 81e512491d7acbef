package app.velvetcrock.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.batch.Batches;
import app.velvetcrock.bench.Bench;
import app.velvetcrock.core.materia.Materia;
import app.velvetcrock.stillroom.People;
import app.velvetcrock.stores.Stores;
import java.time.Clock;
import java.util.Map;
import org.jsoup.nodes.Document;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.DefaultApplicationArguments;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.transaction.PlatformTransactionManager;

@HttpTest
class DemoHouseholdTest {

    @LocalServerPort
    int port;

    @Autowired
    People people;

    @Autowired
    Stores stores;

    @Autowired
    Bench bench;

    @Autowired
    Batches batches;

    @Autowired
    Materia materia;

    @Autowired
    Clock clock;

    @Autowired
    PlatformTransactionManager transactions;

    @Test
    void loadsOnceAndShowsEveryKindOfJar() {
        DemoHousehold demo = new DemoHousehold(people, stores, bench, batches, materia, clock, transactions, true);
        demo.run(new DefaultApplicationArguments());
        demo.run(new DefaultApplicationArguments());

        Visitor guest = new Visitor(port);
        Document shelf = guest.submit("/sign-in", "form[action$=demo-entry]", Map.of()).page();
        assertThat(shelf.select(".board .jar")).hasSize(4);
        assertThat(shelf.select(".tag.due .word").eachText()).containsExactly("strain: 3 d over");
        assertThat(guest.get("/cupboard").page().select("table.paper > tbody > tr")).hasSize(3);
        assertThat(guest.get("/stores").page().select("main table").text()).contains("Meadowsweet", "Babassu", "sealed");
    }
}
