package app.velvetcrock.demo;

import static org.assertj.core.api.Assertions.assertThat;

import app.velvetcrock.HttpTest;
import app.velvetcrock.Visitor;
import app.velvetcrock.kit.Jars;
import app.velvetcrock.stillroom.People;
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
    Jars jars;

    @Autowired
    DemoSeason season;

    @Autowired
    DemoDevices devices;

    @Autowired
    DemoLabels labels;

    @Autowired
    PlatformTransactionManager transactions;

    @Test
    void loadsOnceAndShowsEveryKindOfJar() {
        DemoHousehold demo = new DemoHousehold(people, jars, season, transactions, devices, labels, true);
        demo.run(new DefaultApplicationArguments());
        demo.run(new DefaultApplicationArguments());

        Visitor guest = new Visitor(port);
        Document shelf =
                guest.submit("/sign-in", "form[action$=demo-entry]", Map.of()).page();
        assertThat(shelf.select(".board .jar")).hasSize(6);
        assertThat(shelf.select(".tag.due .word").eachText()).containsExactly("strain: 3 d over", "standing out");
        assertThat(shelf.select(".rounds .round b").eachText())
                .contains("Strain", "Push under, top up", "Read the heat", "Use first");
        assertThat(guest.get("/press").page().select("main table").last().select("tbody tr"))
                .hasSize(11);
        assertThat(guest.get("/press").page().text()).contains("mould: The jar was still wet");
        assertThat(guest.get("/cupboard").page().select(".bottle")).hasSizeGreaterThan(8);
        assertThat(guest.get("/stores").page().select("main table").text())
                .contains("Meadowsweet", "Babassu", "sealed");
    }
}
