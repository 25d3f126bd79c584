package org.squallnote.search;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.apache.lucene.document.Document;
import org.apache.lucene.document.Field;
import org.apache.lucene.document.LongField;
import org.apache.lucene.document.SortedSetDocValuesField;
import org.apache.lucene.document.StoredField;
import org.apache.lucene.document.StringField;
import org.apache.lucene.document.TextField;
import org.apache.lucene.index.DirectoryReader;
import org.apache.lucene.index.IndexWriter;
import org.apache.lucene.index.IndexWriterConfig;
import org.apache.lucene.index.IndexableField;
import org.apache.lucene.index.Term;
import org.apache.lucene.index.TieredMergePolicy;
import org.apache.lucene.search.CollectorManager;
import org.apache.lucene.search.IndexSearcher;
import org.apache.lucene.search.MultiCollectorManager;
import org.apache.lucene.search.Query;
import org.apache.lucene.search.ScoreDoc;
import org.apache.lucene.search.SearcherManager;
import org.apache.lucene.search.Sort;
import org.apache.lucene.search.SortedNumericSelector;
import org.apache.lucene.search.TermQuery;
import org.apache.lucene.search.TopDocs;
import org.apache.lucene.search.TopFieldCollectorManager;
import org.apache.lucene.search.TopScoreDocCollectorManager;
import org.apache.lucene.store.ByteBuffersDirectory;
import org.apache.lucene.store.Directory;
import org.apache.lucene.store.FSDirectory;
import org.apache.lucene.util.BytesRef;
import org.jspecify.annotations.Nullable;
import org.squallnote.core.message.Party;
import org.squallnote.core.search.Kind;

/**
 * The index of one account. Nothing of another account is ever in it, so that neither what is found nor its order can
 * say anything of others.
 *
 * <p>What is put is found at once; it is kept over a kill only when it was {@link #commit committed}.
 */
public final class OwnerIndex implements AutoCloseable {

    /** Changes when what is in the index changes: it is built anew then. */
    private static final String FORM = "1";

    private static final double BUFFER_MEGABYTES = 24;
    private static final int MOST_STORED_LINKS = 1000;

    private final Directory directory;
    private final IndexWriter writer;
    private final SearcherManager searchers;
    private final boolean fresh;
    private @Nullable Vocabulary vocabulary;
    private long vocabularyOf;

    private OwnerIndex(Directory directory) throws IOException {
        this.directory = directory;
        IndexWriterConfig config = new IndexWriterConfig(new WordAnalyzer(true))
                .setRAMBufferSizeMB(BUFFER_MEGABYTES)
                .setMergePolicy(new TieredMergePolicy().setForceMergeDeletesPctAllowed(0))
                .setCommitOnClose(true);
        this.writer = new IndexWriter(directory, config);
        boolean known = false;
        Iterable<Map.Entry<String, String>> said = writer.getLiveCommitData();
        if (said != null) {
            for (Map.Entry<String, String> each : said) {
                known |= each.getKey().equals("form") && each.getValue().equals(FORM);
            }
        }
        this.fresh = !known;
        if (fresh) {
            writer.deleteAll();
        }
        writer.setLiveCommitData(Map.of("form", FORM).entrySet());
        this.searchers = new SearcherManager(writer, null);
    }

    /** Opens the index in a folder, which is made where it is missing; one that cannot be read is emptied. */
    public static OwnerIndex in(Path folder) throws IOException {
        Files.createDirectories(folder);
        try {
            return new OwnerIndex(FSDirectory.open(folder));
        } catch (IOException | IllegalArgumentException e) {
            try (Directory damaged = FSDirectory.open(folder)) {
                for (String file : damaged.listAll()) {
                    if (!file.equals(IndexWriter.WRITE_LOCK_NAME)) {
                        damaged.deleteFile(file);
                    }
                }
            }
            return new OwnerIndex(FSDirectory.open(folder));
        }
    }

    /** An index that lives as long as the process, for accounts whose words may not lie on a disk. */
    public static OwnerIndex inMemory() throws IOException {
        return new OwnerIndex(new ByteBuffersDirectory());
    }

    /** Whether it was empty or of another form when it was opened, so that everything has to be put into it. */
    public boolean isFresh() {
        return fresh;
    }

    /** Puts some, in the place of what was known of them. */
    public void put(Collection<Entry> entries) throws IOException {
        for (Entry entry : entries) {
            writer.updateDocument(new Term("key", entry.key()), document(entry));
        }
    }

    /** Takes one out. */
    public void remove(Kind kind, String id) throws IOException {
        writer.deleteDocuments(new Term("key", Entry.key(kind, id)));
    }

    /** Takes out all files of a message. */
    public void removeFilesOf(UUID messageId) throws IOException {
        writer.deleteDocuments(new Term("of", messageId.toString()));
    }

    /**
     * Leaves no word of what was taken out in the files of the index. Until then it is only not found any more, and goes
     * when parts of the index are put together.
     */
    public void purge() throws IOException {
        writer.forceMergeDeletes();
        commit();
    }

    /** Whether files of a message are known. */
    public boolean hasFilesOf(UUID messageId) throws IOException {
        searchers.maybeRefresh();
        IndexSearcher searcher = searchers.acquire();
        try {
            return searcher.count(new TermQuery(new Term("of", messageId.toString()))) > 0;
        } finally {
            searchers.release(searcher);
        }
    }

    /** Keeps what was put and taken out, also when the machine fails. */
    public void commit() throws IOException {
        writer.commit();
        searchers.maybeRefresh();
    }

    private static Document document(Entry entry) {
        Document document = new Document();
        document.add(new StringField("key", entry.key(), Field.Store.NO));
        document.add(new StoredField("what", entry.kind().name()));
        document.add(new StoredField("id", entry.id()));
        document.add(new TextField("title", entry.title(), Field.Store.NO));
        document.add(new TextField("text", entry.text(), Field.Store.NO));
        if (!entry.kept().isEmpty()) {
            document.add(new TextField("text", entry.kept(), Field.Store.NO));
            document.add(new StoredField("kept", entry.kept()));
        }
        if (entry.kind() == Kind.FILE) {
            document.add(
                    new StringField("of", entry.id().substring(0, entry.id().indexOf(':')), Field.Store.NO));
        }
        Set<String> people = new HashSet<>();
        for (Party party : entry.people()) {
            document.add(new TextField("who", party.name() + "\n" + party.address(), Field.Store.NO));
            if (!party.address().isEmpty() && people.add(party.address().toLowerCase(Locale.ROOT))) {
                chip(document, "person", party.address().toLowerCase(Locale.ROOT));
            }
        }
        document.add(new LongField("at", entry.at().toEpochMilli(), Field.Store.NO));
        chip(document, "kind", entry.kind());
        chip(document, "category", entry.categoryId());
        chip(document, "source", entry.sourceId());
        chip(document, "room", entry.roomId());
        chip(document, "standing", entry.standing());
        chip(document, "file", entry.withFile());
        chip(document, "linked", entry.linked());
        entry.links().stream()
                .limit(MOST_STORED_LINKS)
                .forEach(each -> document.add(new StoredField("link", each.toString())));
        return document;
    }

    private static void chip(Document document, String what, @Nullable Object value) {
        if (value != null) {
            document.add(new StringField(what, value.toString(), Field.Store.NO));
            document.add(new SortedSetDocValuesField(ChipCounts.FIELD, new BytesRef(what + ":" + value)));
        }
    }

    /** Looks for something, first as it was typed, then with similar words, then with some of them. */
    public Found search(Wanted wanted) throws IOException {
        searchers.maybeRefresh();
        IndexSearcher searcher = searchers.acquire();
        try {
            Found found = search(searcher, wanted, Map.of(), false);
            if (found.total() == 0 && !wanted.words().isBlank()) {
                Map<String, Set<String>> similar = similar(searcher, wanted.words());
                found = search(searcher, wanted, similar, false);
                if (found.total() == 0) {
                    found = search(searcher, wanted, similar, true);
                }
            }
            return found;
        } finally {
            searchers.release(searcher);
        }
    }

    private Map<String, Set<String>> similar(IndexSearcher searcher, String typed) throws IOException {
        Vocabulary all;
        synchronized (this) {
            DirectoryReader reader = (DirectoryReader) searcher.getIndexReader();
            if (vocabulary == null || vocabularyOf != reader.getVersion()) {
                vocabulary = Vocabulary.of(reader);
                vocabularyOf = reader.getVersion();
            }
            all = vocabulary;
        }
        Map<String, Set<String>> similar = new HashMap<>();
        Queries.wordsOf(typed).forEach(word -> similar.put(word, all.like(word)));
        return similar;
    }

    private static Found search(
            IndexSearcher searcher, Wanted wanted, Map<String, Set<String>> similar, boolean onlySome)
            throws IOException {
        Query query = new Queries(similar).of(wanted, onlySome);
        CollectorManager<?, ? extends TopDocs> best =
                wanted.newestFirst() || wanted.words().isBlank()
                        ? new TopFieldCollectorManager(
                                new Sort(LongField.newSortField("at", true, SortedNumericSelector.Type.MAX)),
                                wanted.most(),
                                null,
                                Integer.MAX_VALUE)
                        : new TopScoreDocCollectorManager(wanted.most(), null, Integer.MAX_VALUE);
        // All in one: what takes time is to find them, and not to count them.
        Object[] both = searcher.search(query, new MultiCollectorManager(best, new ChipCounts.Sum()));
        TopDocs top = (TopDocs) both[0];
        List<Found.Hit> hits = new ArrayList<>();
        for (ScoreDoc each : top.scoreDocs) {
            Document document = searcher.storedFields().document(each.doc, Set.of("what", "id"));
            hits.add(new Found.Hit(Kind.valueOf(document.get("what")), document.get("id")));
        }
        return new Found(hits, top.totalHits.value, (Found.Chips) both[1], similar);
    }

    /** How many there are, as typed. */
    public int count(Wanted wanted) throws IOException {
        searchers.maybeRefresh();
        IndexSearcher searcher = searchers.acquire();
        try {
            return searcher.count(new Queries(Map.of()).of(wanted, false));
        } finally {
            searchers.release(searcher);
        }
    }

    /** The text that is kept of an entry; empty where none is. */
    public String kept(Kind kind, String id) throws IOException {
        return stored(kind, id, "kept").stream().findFirst().orElse("");
    }

    /** The messages of a follow-up as it was put last. */
    public Set<UUID> links(UUID followUpId) throws IOException {
        Set<UUID> links = new HashSet<>();
        stored(Kind.FOLLOW_UP, followUpId.toString(), "link").forEach(each -> links.add(UUID.fromString(each)));
        return links;
    }

    private List<String> stored(Kind kind, String id, String field) throws IOException {
        searchers.maybeRefresh();
        IndexSearcher searcher = searchers.acquire();
        try {
            TopDocs one = searcher.search(new TermQuery(new Term("key", Entry.key(kind, id))), 1);
            List<String> values = new ArrayList<>();
            for (ScoreDoc each : one.scoreDocs) {
                for (IndexableField value : searcher.storedFields()
                        .document(each.doc, Set.of(field))
                        .getFields(field)) {
                    values.add(value.stringValue());
                }
            }
            return values;
        } finally {
            searchers.release(searcher);
        }
    }

    /** Whether it closed itself, as after a disk was full: it has to be opened again. */
    public boolean isBroken() {
        return !writer.isOpen();
    }

    /** How many entries it has. */
    public int size() {
        return writer.getDocStats().numDocs;
    }

    @Override
    public void close() throws IOException {
        searchers.close();
        writer.close();
        directory.close();
    }
}
