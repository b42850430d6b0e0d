CREATE TABLE "picture_bytes" (
	"sha256" text NOT NULL,
	"size" text NOT NULL,
	"data" "bytea" NOT NULL,
	CONSTRAINT "picture_bytes_sha256_size_pk" PRIMARY KEY("sha256","size")
);
